import { X } from 'lucide-react';
import { useState } from 'react';
import { freshId } from '../../../core/edit/freshId.ts';
import { OIL_LIBRARY, RANGES_NOTE } from '../../../core/batter/oilLibrary.ts';
import { midSv } from '../../../core/batter/oil.ts';
import { lineNames, oilOf, percentSum } from '../../../core/batter/usedOils.ts';
import type { RecipeOil } from '../../../core/batter/schema.ts';
import { formatPercent, formatShort } from '../../../core/units/format.ts';
import { Picker } from '../../parts/Picker.tsx';
import { FigureField, MassField, PercentField } from '../../parts/quantities.tsx';
import { usePlan } from '../../parts/usePlan.ts';
import { OwnOil } from './OwnOil.tsx';
import type { Fault } from '../../../core/result/result.ts';
import type { Grams } from '../../../core/units/quantity.ts';
import type { Gesture } from '../../../store/gesture.ts';
import { IconButton } from '../../kit/IconButton.tsx';
import { WordButton } from '../../kit/WordButton.tsx';

const PICK = 'Add an oil…';
const OWN = 'An oil of my own…';

interface OilTableProps {
  readonly oils: readonly RecipeOil[];
  readonly put: (change: (oils: readonly RecipeOil[]) => RecipeOil[], gesture?: Gesture) => Fault | undefined;
  /** of an oil by the name of its line, g; undefined while nothing can be weighed */
  readonly weightOf: (line: string) => Grams | undefined;
  readonly totalG: Grams | undefined;
  /** where oils are given by weight */
  readonly onWeight?: (index: number, massG: Grams, gesture: Gesture) => Fault | undefined;
}

/** Oils by percent, with the saponification value used for each and the range it was published in. */
export function OilTable({ oils, put, weightOf, totalG, onWeight }: OilTableProps) {
  const { show } = usePlan();
  const [own, setOwn] = useState(false);
  const [values, setValues] = useState(false);
  const at = (i: number, change: Partial<RecipeOil>, gesture: Gesture) =>
    put((list) => list.map((o, k) => (k === i ? { ...o, ...change } : o)), gesture);
  const left = Math.max(0, Math.round((100 - percentSum({ oils })) * 100) / 100);
  const lines = lineNames(oils);
  const isIn = (id: string): boolean => oils.some((line) => line.oil === id);
  const add = (id: string): void => {
    if (id === OWN) setOwn(true);
    else if (id !== PICK) put((list) => [...list, { oil: id, percent: left }]);
  };
  return (
    <>
      <table className="w-full text-left">
        <thead className="quiet text-sm">
          <tr className="rule border-b">
            <th className="py-1 font-normal">Oil</th>
            <th className="w-22 py-1 text-right font-normal">Share</th>
            {values && <th className="w-34 py-1 pl-2 text-right font-normal">Sap. value, mg KOH/g</th>}
            <th className="w-24 py-1 text-right font-normal">Weight</th>
            <th className="w-8">
              <span className="sr-only">Remove</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {oils.map((line, i) => {
            const oil = oilOf(line);
            const massG = weightOf(lines[i] ?? line.oil);
            return (
              <tr key={lines[i]} className="rule border-b align-top">
                <td className="py-1.5 leading-tight">
                  {oil?.name ?? line.oil}
                  {values ? (
                    <span className="quiet block text-xs">
                      {oil ? `${oil.svLow} to ${oil.svHigh} · ${oil.origin}` : 'not in the library'}
                    </span>
                  ) : (
                    line.svMgG !== undefined && (
                      <span className="quiet block text-xs">
                        this lot: {formatShort(line.svMgG, 2)} mg KOH/g
                      </span>
                    )
                  )}
                </td>
                <td className="py-1">
                  <PercentField
                    label={`Share of ${oil?.name ?? line.oil}`}
                    hideLabel
                    value={line.percent}
                    onValue={(percent, g) => at(i, { percent }, g)}
                  />
                </td>
                {values && (
                  <td className="py-1 pl-2">
                    <FigureField
                      label={`Saponification value of ${oil?.name ?? line.oil}`}
                      hideLabel
                      suffix={line.svMgG === undefined ? 'mid' : 'lot'}
                      value={line.svMgG ?? (oil ? midSv(oil) : 0)}
                      onValue={(svMgG, g) =>
                        oil && svMgG === midSv(oil)
                          ? put((list) => list.map((o, k) => (k === i ? withoutLot(o) : o)), g)
                          : at(i, { svMgG }, g)
                      }
                    />
                  </td>
                )}
                {onWeight && totalG !== undefined && massG !== undefined ? (
                  <td className="py-1 pl-2">
                    <MassField
                      label={`Weight of ${oil?.name ?? line.oil}`}
                      hideLabel
                      value={massG}
                      onValue={(g, gesture) => onWeight(i, g, gesture)}
                    />
                  </td>
                ) : (
                  <td className="py-2.5 text-right font-bold">
                    {massG === undefined ? '–' : show.mass(massG)}
                  </td>
                )}
                <td className="py-1.5 text-right">
                  <IconButton
                    icon={X}
                    label={`Remove ${oil?.name ?? line.oil}`}
                    onClick={() => put((list) => list.filter((_, k) => k !== i))}
                  />
                </td>
              </tr>
            );
          })}
          <tr>
            <td className="py-2">
              <Picker
                label="Add an oil"
                hideLabel
                className="max-w-60"
                value={PICK}
                options={[
                  { value: PICK, label: PICK },
                  ...OIL_LIBRARY.map((o) => ({
                    value: o.id,
                    label: isIn(o.id) ? `${o.name}, another lot` : o.name,
                  })),
                  { value: OWN, label: OWN },
                ]}
                onPick={add}
              />
            </td>
            <td className="py-2 pr-2.5 text-right font-bold">{formatPercent(percentSum({ oils }), 2)}</td>
            {values && <td />}
            <td className="py-2 text-right font-bold">{totalG === undefined ? '–' : show.mass(totalG)}</td>
            <td />
          </tr>
        </tbody>
      </table>
      <p className="text-sm">
        <WordButton aria-expanded={values} onClick={() => setValues(!values)}>
          {values ? 'Without saponification values' : 'Saponification values'}
        </WordButton>
        {values && <span className="quiet"> {RANGES_NOTE}</span>}
      </p>
      {own && (
        <OwnOil
          onDone={(custom) => {
            setOwn(false);
            if (custom)
              put((list) => [
                ...list,
                {
                  oil: freshId(
                    'own-oil-',
                    list.map((o) => ({ id: o.oil })),
                  ),
                  percent: left,
                  custom,
                },
              ]);
          }}
        />
      )}
    </>
  );
}

const withoutLot = ({ svMgG: _lot, ...oil }: RecipeOil): RecipeOil => oil;
