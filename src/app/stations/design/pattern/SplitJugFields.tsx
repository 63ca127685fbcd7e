import { roundOf } from '../../../../core/plan/sources.ts';
import { THIN_PERCENT } from '../../../../core/ways/splitJug.ts';
import { Picker } from '../../../parts/Picker.tsx';
import { LengthField, PercentField } from '../../../parts/quantities.tsx';
import { useBench } from '../../../parts/usePlan.ts';
import type { WayFieldsProps } from './wayFieldsProps.ts';

const NONE = '';

/** How close the wiggles are, and the thin line between them. */
export function SplitJugFields({ pour, place, put }: WayFieldsProps<'split-jug'>) {
  const { plan } = useBench();
  const round = roundOf(pour);
  const { accent } = place;
  const pick = (pot: string): void => {
    const { accent: _was, ...bare } = place;
    put(pot === NONE ? bare : { ...bare, accent: { pot, percent: accent?.percent ?? THIN_PERCENT } });
  };
  return (
    <>
      {', '}
      <LengthField
        label="From wiggle to wiggle"
        value={place.wiggleMm}
        onValue={(wiggleMm, g) => put({ ...place, wiggleMm }, g)}
      />
      {' from wiggle to wiggle, with '}
      <Picker
        label="A thin line between them, of"
        value={accent?.pot ?? NONE}
        options={[
          { value: NONE, label: 'no line' },
          ...plan.pots
            .filter((p) => !round.includes(p.id))
            .map((p) => ({ value: p.id, label: `a thin line of pot ${p.letter}, ${p.name}` })),
        ]}
        onPick={pick}
      />
      {' between them'}
      {accent && (
        <>
          {' ('}
          <PercentField
            label="Of the pour"
            value={accent.percent}
            onValue={(percent, g) => put({ ...place, accent: { ...accent, percent } }, g)}
          />
          {' of the pour)'}
        </>
      )}
    </>
  );
}
