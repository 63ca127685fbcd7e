import { OIL_LIBRARY } from '../../../core/batter/oilLibrary.ts';
import { midSv } from '../../../core/batter/oil.ts';
import type { LateOil } from '../../../core/batter/schema.ts';
import { oilOf } from '../../../core/batter/usedOils.ts';
import { addAddition, removeAddition, updateAddition } from '../../../core/edit/additions.ts';
import { Picker } from '../../parts/Picker.tsx';
import { Group } from '../../parts/Station.tsx';
import { FigureField } from '../../parts/quantities.tsx';
import { usePlan } from '../../parts/usePlan.ts';
import { AdditionCards } from './AdditionCards.tsx';
import { Doses } from './Doses.tsx';

const PICK = 'Add an oil…';

const nameOf = (line: LateOil): string => oilOf(line)?.name ?? line.oil;

const withoutLot = ({ svMgG: _lot, ...line }: LateOil): LateOil => line;

/**
 * Oils stirred in after the lye, on top of what it is reckoned for: a butter at emulsion, extra oil with a
 * colour.
 */
export function LateOils() {
  const { plan, edit } = usePlan();
  const { lateOils, oils } = plan.batter;
  // an oil of one's own in the recipe can be stirred in late too
  const own = oils.flatMap((o) => (o.custom ? [{ id: o.oil, name: o.custom.name, custom: o.custom }] : []));
  return (
    <Group
      title="Oils stirred in late"
      aside={
        <Picker
          label="Stir in an oil late"
          hideLabel
          value={PICK}
          options={[
            { value: PICK, label: PICK },
            ...[...OIL_LIBRARY, ...own].map((o) => ({ value: o.id, label: o.name })),
          ]}
          onPick={(oil) => {
            const custom = own.find((o) => o.id === oil)?.custom;
            if (oil !== PICK)
              edit((p) =>
                addAddition(p, 'lateOils', {
                  oil,
                  ...(custom ? { custom } : {}),
                  doses: [{ id: 'd1', gPerKgOils: 20, moment: 'emulsion' }],
                }),
              );
          }}
        />
      }
    >
      <AdditionCards
        items={lateOils}
        nameOf={(line) => `${nameOf(line)}, stirred in late`}
        empty="None. An oil after the lye adds to the superfat of the pots it goes into."
        onRemove={(id) => edit((p) => removeAddition(p, 'lateOils', id))}
        head={(line) => {
          const oil = oilOf(line);
          const middle = oil ? midSv(oil) : 0;
          return (
            <>
              <span className="flex-1 pb-2 font-semibold">{nameOf(line)}</span>
              <FigureField
                label="Sap. value, mg KOH/g"
                className="w-34"
                suffix={line.svMgG === undefined ? 'mid' : 'lot'}
                value={line.svMgG ?? middle}
                onValue={(svMgG, g) =>
                  edit(
                    (p) =>
                      updateAddition(p, 'lateOils', line.id, (was) =>
                        svMgG === middle ? withoutLot(was) : { ...was, svMgG },
                      ),
                    g,
                  )
                }
              />
            </>
          );
        }}
        body={(line) => <Doses list="lateOils" addition={line} name={nameOf(line)} amountIn="g/kg" />}
      />
    </Group>
  );
}
