import { leadPot } from '../../../../core/plan/sources.ts';
import { useMemo } from 'react';
import { DEFICIENCIES, seenWith } from '../../../../core/colour/deficiency.ts';
import { LEAST_STEP, READS_AS_LINE } from '../../../../core/colour/thresholds.ts';
import { labOfHex } from '../../../../core/colour/lab.ts';
import { differencesOf } from '../../../../core/ombre/strip.ts';
import { formatShort } from '../../../../core/units/format.ts';
import { NO_COLOUR } from '../../../parts/ink.ts';
import { Group } from '../../../parts/Station.tsx';
import { lookChanged } from '../../../../store/deskSlice.ts';
import { stateOfLook } from '../../../../store/computed.ts';
import { useAppDispatch, useAppSelector } from '../../../../store/store.ts';
import { coloursOf } from '../../../../core/ombre/coloursOf.ts';
import { usePlan } from '../../../parts/usePlan.ts';

/** How the layers, in the order they are poured, read to eyes that do not tell all colours apart. */
export function ColourSight() {
  const { plan, computed } = usePlan('graded', 'stack');
  const dispatch = useAppDispatch();
  const look = useAppSelector((s) => s.desk.look);
  const { eyes } = look;
  const colours = useMemo(
    () => coloursOf(plan, stateOfLook(plan, look), computed.graded),
    [plan, look, computed.graded],
  );
  const layers = computed.stack.layers;
  const rows = useMemo(() => {
    const hexes = layers.map((l) => colours.pours.get(l.pour.id) ?? NO_COLOUR);
    const ways = [
      { eyes: 'all' as const, name: 'All colours', plain: 'as drawn', see: (hex: string) => hex },
      ...DEFICIENCIES.map((d) => ({
        eyes: d.id,
        name: d.name,
        plain: d.plain,
        see: (hex: string) => seenWith(d.id, hex),
      })),
    ];
    return ways.map(({ eyes: whose, name, plain, see }) => {
      const seen = hexes.map(see);
      const differences = differencesOf(seen.map(labOfHex));
      const merge = differences.flatMap((d, i) => {
        const below = layers[i];
        const above = layers[i + 1];
        if (!below || !above || below.room !== above.room || leadPot(below.pour) === leadPot(above.pour))
          return [];
        const graded = below.pour.ombre && below.pour.ombre.id === above.pour.ombre?.id;
        return d < (graded ? LEAST_STEP : READS_AS_LINE)
          ? [`${i + 1} and ${i + 2} (${formatShort(d, 1)})`]
          : [];
      });
      return { eyes: whose, name, plain, seen, merge };
    });
  }, [layers, colours]);
  if (layers.length < 2) return null;
  return (
    <Group title="How it reads to other eyes">
      <ul className="grid gap-2.5">
        {rows.map((row) => (
          <li key={row.name} className="grid grid-cols-[7rem_minmax(0,1fr)] items-start gap-3">
            <span className="leading-tight" title={row.plain}>
              <button
                type="button"
                className={`cursor-pointer text-left underline ${row.eyes === eyes ? 'font-bold' : ''}`}
                aria-pressed={row.eyes === eyes}
                title="Draw the loaf as these eyes see it"
                onClick={() => dispatch(lookChanged({ eyes: row.eyes }))}
              >
                {row.name}
              </button>
              {row.name !== 'All colours' && (
                <span className="quiet block text-xs">{row.plain.split(';')[0]}</span>
              )}
            </span>
            <span className="grid gap-0.5">
              <span className="flex h-9 overflow-hidden rounded-field" aria-hidden="true">
                {row.seen.map((hex, i) => (
                  <span key={i} className="flex-1" style={{ background: hex }} />
                ))}
              </span>
              <span className={`text-sm ${row.merge.length > 0 ? '' : 'quiet'}`}>
                {row.merge.length > 0
                  ? `Pours ${row.merge.join(', ')} run together.`
                  : 'Every layer stands apart.'}
              </span>
            </span>
          </li>
        ))}
      </ul>
      <p className="quiet text-sm">
        {plan.pots.length} pots carry letters on paper and screen whatever their colours. Simulated at full
        strength; weaker forms see more.
      </p>
    </Group>
  );
}
