import { X } from 'lucide-react';
import { useMemo, useState } from 'react';
import { hexOfBody } from '../../../../core/colour/body.ts';
import { labOfHex } from '../../../../core/colour/lab.ts';
import { SHOWS } from '../../../../core/colour/thresholds.ts';
import { nearestDoses, type Nearest } from '../../../../core/colour/nearest.ts';
import { setEnd } from '../../../../core/edit/ombre.ts';
import { withDose } from '../../../../core/edit/colorants.ts';
import { paintsOfOmbre } from '../../../../core/ombre/shades.ts';
import { shiftedPigment } from '../../../../core/look/shifts.ts';
import { plannedState } from '../../../../core/look/state.ts';
import type { Mix, Ombre } from '../../../../core/plan/ombreSchema.ts';
import { formatShort } from '../../../../core/units/format.ts';
import { ColorantPicker } from '../../../parts/colour/ColorantPicker.tsx';
import { ColourPicker } from '../../../parts/colour/ColourPicker.tsx';
import { FigureField } from '../../../parts/quantities.tsx';
import { usePlan } from '../../../parts/usePlan.ts';
import type { Gesture } from '../../../../store/gesture.ts';
import { Button } from '../../../kit/Button.tsx';
import { IconButton } from '../../../kit/IconButton.tsx';

interface EndCardProps {
  readonly ombre: Ombre;
  readonly end: 'from' | 'to';
}

interface Match {
  readonly wanted: string;
  readonly nearest: Nearest;
}

/** One end of an ombre: its colorants at their doses, or a colour to come as near to as they can. */
export function EndCard({ ombre, end }: EndCardProps) {
  const { plan, edit } = usePlan();
  const [match, setMatch] = useState<Match | null>(null);
  const mix = ombre[end];
  const state = useMemo(() => plannedState(plan, ombre.spacedAt), [plan, ombre.spacedAt]);
  const paints = paintsOfOmbre(plan, ombre);
  const colour = hexOfBody(paints.bodyOf(mix));
  const put = (next: Mix, gesture?: Gesture) => edit((p) => setEnd(p, ombre.id, end, next), gesture);
  const known = mix.flatMap((m) => {
    const nature = plan.colorants.find((c) => c.id === m.colorant)?.nature;
    return nature ? [{ id: m.colorant, nature }] : [];
  });
  const tryColour = (wanted: string): void => {
    const nearest = nearestDoses(
      labOfHex(wanted),
      paints.base,
      known.slice(0, 2).map(({ nature }) => ({
        pigment: shiftedPigment(nature, state),
        mostGPerKg: nature.usualGPerKg,
      })),
    );
    setMatch({ wanted, nearest });
  };
  return (
    <section
      className="grid content-start gap-2 rounded-box border border-base-300 p-3"
      aria-label={end === 'from' ? 'First colour' : 'Last colour'}
    >
      <div className="flex items-center gap-3">
        <span
          className="size-12 rounded-box border border-black/25"
          style={{ background: colour }}
          aria-hidden="true"
        />
        <div className="grid flex-1">
          <h3 className="text-base">{end === 'from' ? 'From' : 'To'}</h3>
          <span className="quiet text-sm">{mix.length === 0 ? 'plain batter' : colour}</span>
        </div>
        {known.length > 0 && (
          <ColourPicker
            label={`Match the ${end === 'from' ? 'first' : 'last'} colour`}
            value={match?.wanted ?? colour}
            onPick={tryColour}
            className="btn btn-sm"
          >
            Match a colour
          </ColourPicker>
        )}
      </div>
      <ul className="grid gap-1.5">
        {mix.map(({ colorant, doseGPerKg }) => {
          const name = plan.colorants.find((c) => c.id === colorant)?.name ?? colorant;
          return (
            <li key={colorant} className="flex items-start gap-1.5">
              <span className="mt-1.5 min-w-0 flex-1 leading-tight">{name}</span>
              <FigureField
                label={`Dose of ${name}`}
                hideLabel
                className="w-26"
                suffix="g/kg"
                value={doseGPerKg}
                onValue={(dose, g) => put(withDose(mix, colorant, dose), g)}
              />
              <IconButton
                icon={X}
                label={`Remove ${name}`}
                onClick={() => put(mix.filter((m) => m.colorant !== colorant))}
              />
            </li>
          );
        })}
      </ul>
      <ColorantPicker
        label="Add a colorant"
        className="w-full"
        without={mix.map((m) => m.colorant)}
        onPick={(c) => edit((p) => setEnd(p, ombre.id, end, withDose(mix, c.id, c.nature.doseGPerKg), [c]))}
      />
      {match && (
        <div className="grid gap-1.5 text-sm" role="status">
          <div className="flex h-8 overflow-hidden rounded-field" aria-hidden="true">
            <span className="flex-1" style={{ background: match.wanted }} />
            <span className="flex-1" style={{ background: hexOfBody(match.nearest.body) }} />
          </div>
          <p className={`leading-snug ${match.nearest.difference > SHOWS ? 'text-error' : ''}`}>
            {match.nearest.difference > SHOWS
              ? `These colorants cannot reach ${match.wanted}. The nearest is ${hexOfBody(match.nearest.body)}, `
              : `${match.wanted} is reached: ${hexOfBody(match.nearest.body)}, `}
            {formatShort(match.nearest.difference, 1)} away, at{' '}
            {known
              .slice(0, 2)
              .map(
                (k, i) =>
                  `${formatShort(match.nearest.doses[i] ?? 0, 2)} g/kg of ${plan.colorants.find((c) => c.id === k.id)?.name ?? ''}`,
              )
              .join(' and ')}
            .
          </p>
          <span className="flex gap-2">
            <Button
              tone="primary"
              size="tiny"
              onClick={() => {
                const doses = new Map(
                  known
                    .slice(0, 2)
                    .map((k, i) => [k.id, Number((match.nearest.doses[i] ?? 0).toFixed(3))] as const),
                );
                put(mix.map((m) => ({ ...m, doseGPerKg: doses.get(m.colorant) ?? m.doseGPerKg })));
                setMatch(null);
              }}
            >
              {match.nearest.difference > SHOWS ? 'Take the nearest' : 'Take these doses'}
            </Button>
            <Button size="tiny" onClick={() => setMatch(null)}>
              Leave it
            </Button>
          </span>
        </div>
      )}
    </section>
  );
}
