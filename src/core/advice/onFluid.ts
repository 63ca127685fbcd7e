import { landPours, layOnFluid } from '../edit/clock.ts';
import { roughnessOf } from '../pattern/blocks.ts';
import { roughestApart } from '../setting/blur.ts';
import { formatLength } from '../units/format.ts';
import type { Facts } from './facts.ts';
import type { Warning } from './warning.ts';
import { remedy, warn } from './/warning.ts';

/** Layers laid on what is fluid whose border is rougher than keeps them apart. */
export const onFluidWarnings = (facts: Facts): Warning[] =>
  facts.stack.layers.flatMap((layer): Warning[] => {
    const { pour } = layer;
    const { roughMm, below } = roughnessOf(facts, layer);
    if (!below) return [];
    const thinnerMm = Math.min(layer.riseMm, below.riseMm);
    if (roughMm <= roughestApart(thinnerMm)) return [];
    const say = (mm: number): string => formatLength(Math.round(mm), facts.plan.units.length);
    return [
      warn(
        { station: 'design', step: pour.id },
        'runs-together',
        `Laid on what is fluid, its border is rough by ${say(roughMm)} either way, and the thinner of the two layers is ${say(thinnerMm)}: they run together (estimated).`,
        [
          remedy('Wait until it is carried', (p) => layOnFluid(p, [pour.id], false)),
          ...(pour.landing.how === 'spoon'
            ? []
            : [remedy('Spoon it on', (p: Facts['plan']) => landPours(p, [pour.id], 'spoon'))]),
        ],
      ),
    ];
  });
