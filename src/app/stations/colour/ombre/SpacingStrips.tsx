import { Fragment, useId, useMemo } from 'react';
import { updateOmbre } from '../../../../core/edit/ombre.ts';
import type { Ramp } from '../../../../core/colour/ramp.ts';
import { labOfHex } from '../../../../core/colour/lab.ts';
import { runsOf } from '../../../../core/ombre/runs.ts';
import { paintsOfOmbre, rampBetween, shadesOf } from '../../../../core/ombre/shades.ts';
import { differencesOf, placesOn, stripOf, type Strip } from '../../../../core/ombre/strip.ts';
import type { Ombre, Spacing } from '../../../../core/plan/ombreSchema.ts';
import { NO_COLOUR } from '../../../parts/ink.ts';
import { Group } from '../../../parts/Station.tsx';
import { useColours, usePlan } from '../../../parts/usePlan.ts';
import { StripBender } from './StripBender.tsx';
import { spread, StripBar } from './StripBar.tsx';

const STRAIGHT: Spacing = { kind: 'curve', heights: [0.25, 0.5, 0.75] };

const FIXED: readonly Spacing[] = [{ kind: 'even' }, { kind: 'equal-dose' }, { kind: 'halving' }];

const NAMES: Readonly<Record<Spacing['kind'], string>> = {
  even: 'Even to the eye',
  curve: 'Bent by hand',
  'equal-dose': 'Equal dose',
  halving: 'Halving',
};

interface SpacedStrip {
  readonly spacing: Spacing;
  readonly strip: Strip;
}

/** One strip for each way of spacing. While a curve is bent only its own strip is worked out anew. */
function useStrips(
  ombre: Ombre,
  count: number,
): { readonly ramp: Ramp; readonly strips: readonly SpacedStrip[] } {
  const { plan } = usePlan();
  const { from, to, spacing } = ombre;
  // the paints are the same as long as nothing changes that is mixed
  const paints = paintsOfOmbre(plan, ombre);
  const ramp = useMemo(() => rampBetween(paints, from, to), [paints, from, to]);
  const fixed = useMemo(
    () => FIXED.map((s): SpacedStrip => ({ spacing: s, strip: stripOf(ramp, placesOn(ramp, s, count)) })),
    [ramp, count],
  );
  const curve = useMemo((): SpacedStrip => {
    const bent = spacing.kind === 'curve' ? spacing : STRAIGHT;
    // the loaf is graded along the curve already where that is chosen
    const places =
      bent === spacing
        ? shadesOf(plan, ombre).flatMap((s) => (s.run === 0 ? [s.t] : []))
        : placesOn(ramp, bent, count);
    return { spacing: bent, strip: stripOf(ramp, places) };
  }, [plan, ombre, ramp, spacing, count]);
  return { ramp, strips: fixed.toSpliced(1, 0, curve) };
}

/** The same ends spaced in every way, one under the other; the chosen one is in the loaf at once. */
export function SpacingStrips({ ombre }: { readonly ombre: Ombre }) {
  const { plan, computed, edit } = usePlan('weights');
  const colours = useColours();
  const name = useId();
  const runs = runsOf(plan, ombre.id);
  const count = runs[0]?.pours.length ?? 0;
  const { ramp, strips } = useStrips(ombre, count);
  const pours = runs.flatMap((r) => r.pours);
  const got: Strip = (() => {
    const hexes = pours.map((p) => colours.pours.get(p.id) ?? NO_COLOUR);
    return { colours: hexes, differences: differencesOf(hexes.map(labOfHex)) };
  })();
  if (count < 2) return null;
  return (
    <>
      <Group
        title={runs.length > 1 ? `Spacing of ${count} layers, the first run` : `Spacing of ${count} layers`}
        aside={<span className="quiet text-sm">how each step is seen, and its size</span>}
      >
        <fieldset className="grid gap-1.5">
          <legend className="sr-only">Spacing</legend>
          {strips.map(({ spacing, strip }) => {
            const chosen = ombre.spacing.kind === spacing.kind;
            return (
              <Fragment key={spacing.kind}>
                <label
                  className={`relative grid cursor-pointer grid-cols-[6.5rem_minmax(0,1fr)_4.5rem] items-start gap-3 rounded-box border-2 p-1.5 has-focus-visible:outline-2 has-focus-visible:outline-accent ${chosen ? 'border-base-content' : 'border-transparent hover:border-base-300'}`}
                >
                  <input
                    type="radio"
                    className="sr-only"
                    name={name}
                    checked={chosen}
                    onChange={() => edit((p) => updateOmbre(p, ombre.id, { spacing }))}
                  />
                  <span className={`pt-1 leading-tight ${chosen ? 'font-bold' : ''}`}>
                    {NAMES[spacing.kind]}
                  </span>
                  <StripBar strip={strip} />
                  <span className="pt-1 text-right text-sm leading-tight">{spread(strip)}</span>
                </label>
                {spacing.kind === 'curve' && ombre.spacing.kind === 'curve' && (
                  <StripBender
                    ramp={ramp}
                    layers={count}
                    heights={ombre.spacing.heights}
                    onBend={(heights, gesture) =>
                      edit((p) => updateOmbre(p, ombre.id, { spacing: { kind: 'curve', heights } }), gesture)
                    }
                  />
                )}
              </Fragment>
            );
          })}
        </fieldset>
      </Group>
      <Group
        title="What you will really get"
        aside={
          <span className="quiet text-sm">
            {computed.weights ? `after rounding, all ${pours.length} layers` : 'as wanted, not weighed yet'}
          </span>
        }
      >
        <StripBar strip={got} tall />
      </Group>
    </>
  );
}
