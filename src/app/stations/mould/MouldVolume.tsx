import { ruleOfThumbOilsG } from '../../../core/mould/geometry.ts';
import { Fact } from '../../parts/Fact.tsx';
import { Group } from '../../parts/Station.tsx';
import { useBench } from '../../parts/usePlan.ts';

/** What the mould holds, with the makers' rule beside it as a cross-check. */
export function MouldVolume() {
  const { computed, show } = useBench('geometry', 'fill', 'weights', 'densityGMl');
  const { geometry, fill, weights, densityGMl } = computed;
  const rule = ruleOfThumbOilsG(fill.volumeMl);
  return (
    <Group title="What it holds">
      <dl>
        <Fact name="To the rim" strong>
          {show.volume(geometry.rimVolumeMl)}
        </Fact>
        <Fact name={`Filled to ${show.length(fill.heightMm)}`}>{show.volume(fill.volumeMl)}</Fact>
        <Fact name={`Batter in it, at ${densityGMl.toFixed(3)} g/ml`}>
          {show.mass(fill.volumeMl * densityGMl)}
        </Fact>
        {weights && <Fact name="Oils in the batch, with top and overage">{show.mass(weights.oilsG)}</Fact>}
        <Fact name="Rule of thumb, in³ × 0.40 = oz oils" origin="estimated">
          {show.mass(rule)}
        </Fact>
      </dl>
      <p className="quiet text-sm">
        The rule is a cross-check only, for the fill without top and overage. The weights come from the
        mould’s volume and the recipe’s density.
      </p>
    </Group>
  );
}
