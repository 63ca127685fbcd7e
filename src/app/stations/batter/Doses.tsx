import type { Moment } from '../../../core/batter/moments.ts';
import { poursFrom } from '../../../core/plan/sources.ts';
import { pourNames } from '../../../core/plan/deposits.ts';
import { X } from 'lucide-react';
import type { Dose } from '../../../core/batter/schema.ts';
import {
  addDose,
  doseFrom,
  doseInto,
  removeDose,
  updateDose,
  type AdditionList,
} from '../../../core/edit/additions.ts';
import { doseKey } from '../../../core/weigh/substances.ts';
import type { Addition } from '../../../core/batter/additions.ts';
import { Picker } from '../../parts/Picker.tsx';
import { FigureField, PercentField } from '../../parts/quantities.tsx';
import { useEdit, usePlan } from '../../parts/usePlan.ts';
import type { Gesture } from '../../../store/gesture.ts';
import { momentOptions } from './momentOptions.ts';
import { PotToggles } from './PotToggles.tsx';
import { IconButton } from '../../kit/IconButton.tsx';
import { WordButton } from '../../kit/WordButton.tsx';

interface DosesProps {
  readonly list: AdditionList;
  readonly addition: { readonly id: string; readonly doses: readonly Dose[] };
  /** what it is called, for fields whose labels would otherwise be alike */
  readonly name: string;
  readonly amountIn: 'percent' | 'g/kg';
}

const KIND: Readonly<Record<AdditionList, Addition['kind']>> = {
  additives: 'additive',
  lateOils: 'oil',
  fragrances: 'fragrance',
};

const EACH = 'each';

/** Everything of which so much goes into the batch or some pots at a moment: one line a dose. */
export function Doses({ list, addition, name, amountIn }: DosesProps) {
  const edit = useEdit();
  const { id, doses } = addition;
  return (
    <div className="grid gap-2">
      <ul className="grid gap-2">
        {doses.map((dose, i) => (
          <li key={dose.id} className="grid gap-2" aria-label={`${name}, dose ${i + 1}`}>
            <DoseLine {...{ list, dose, amountIn, name }} id={id} several={doses.length > 1} />
          </li>
        ))}
      </ul>
      <p>
        <WordButton className="text-sm" onClick={() => edit((p) => addDose(p, list, id))}>
          {doses.length === 1 ? 'Another dose, elsewhere or later' : 'Another dose'}
        </WordButton>
      </p>
    </div>
  );
}

interface DoseLineProps extends Omit<DosesProps, 'addition'> {
  readonly id: string;
  readonly dose: Dose;
  readonly several: boolean;
}

function DoseLine({ list, id, dose, name, amountIn, several }: DoseLineProps) {
  const { plan, computed, edit, show } = usePlan('batch');
  const put = (change: Partial<Dose>, gesture?: Gesture) =>
    edit((p) => updateDose(p, list, id, dose.id, change), gesture);
  const massG = computed.batch?.doses.get(doseKey({ addition: { kind: KIND[list], id }, dose }));
  const options = (inPots: boolean, now?: Moment) => momentOptions(list, inPots, plan.divide.kind, now);
  const intoPots = (pots: readonly string[] | undefined): void => {
    edit((p) => {
      const into = doseInto(p, list, id, dose.id, pots);
      // named pots get it once they are apart
      return pots === undefined || options(true).some((o) => o.value === dose.moment)
        ? into
        : updateDose(into, list, id, dose.id, { moment: 'colour' });
    });
  };
  const first = plan.pots[0]?.id;
  return (
    <>
      <div className="flex flex-wrap items-end gap-2">
        {amountIn === 'percent' ? (
          <PercentField
            label="of the oils"
            className="w-24"
            value={dose.gPerKgOils / 10}
            onValue={(percent, g) => put({ gPerKgOils: Number((percent * 10).toPrecision(12)) }, g)}
          />
        ) : (
          <FigureField
            label="per kg of oils"
            className="w-28"
            suffix="g/kg"
            value={dose.gPerKgOils}
            onValue={(gPerKgOils, g) => put({ gPerKgOils }, g)}
          />
        )}
        <Picker
          label="into"
          className="w-36"
          value={dose.pots ? 'pots' : 'batch'}
          options={[
            { value: 'batch', label: 'whole batch' },
            { value: 'pots', label: 'some pots' },
          ]}
          onPick={(into) => intoPots(into === 'pots' && first !== undefined ? [first] : undefined)}
        />
        <Picker
          label="when"
          className="min-w-40 flex-1"
          value={dose.moment}
          options={options(dose.pots !== undefined, dose.moment)}
          onPick={(moment) => put({ moment })}
        />
        <span className="w-20 pb-2 text-right font-bold">{massG === undefined ? '–' : show.fine(massG)}</span>
        {several && (
          <IconButton
            icon={X}
            className="mb-0.5"
            label={`Remove this dose of ${name}`}
            onClick={() => edit((p) => removeDose(p, list, id, dose.id))}
          />
        )}
      </div>
      {dose.pots && (
        <div className="flex flex-wrap items-center gap-3">
          <PotToggles label={`Pots that get ${name}`} chosen={dose.pots} onChoose={intoPots} />
          <FromPour {...{ list, id, dose }} />
        </div>
      )}
    </>
  );
}

/**
 * A dose just before the pours of one pot: into each by itself, or once, into all that its jug still holds.
 */
function FromPour({ list, id, dose }: Pick<DoseLineProps, 'list' | 'id' | 'dose'>) {
  const { plan, edit } = usePlan();
  const own = poursFrom(plan, dose.pots?.[0] ?? '');
  if (dose.moment !== 'pour' || dose.pots?.length !== 1 || own.length < 2) return null;
  const names = pourNames(plan);
  return (
    <Picker
      label="How often"
      hideLabel
      className="min-w-60 flex-1"
      value={dose.fromPour ?? EACH}
      options={[
        { value: EACH, label: 'into each of its pours by itself' },
        ...own.map((s) => ({
          value: s.id,
          label: `once, from ${names.get(s.id) ?? ''} on, into all that is left`,
        })),
      ]}
      onPick={(from) => edit((p) => doseFrom(p, list, id, dose.id, from === EACH ? undefined : from))}
    />
  );
}
