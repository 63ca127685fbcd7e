import type { Weight } from '../weigh/ingredients.ts';
import type { OmbreWeights, Stock } from '../weigh/ombre/types.ts';
import { snaked } from './snaked.ts';

const weightJson = (w: Weight): object => ({ colorant: w.id, mass_g: w.massG });

const stockJson = (s: Stock): object => ({
  ...snaked(s, 'name', 'massG', 'totalG'),
  colorants: s.colorants.map(weightJson),
});

function schoolJson(o: OmbreWeights): object {
  switch (o.school) {
    case 'one-pot':
      return {
        pots: o.pots.map((p) => ({
          pot: p.pot.id,
          ...snaked(p, 'startG', 'plainG'),
          passes: p.passes.map((pass) => ({
            pour: pass.pourId,
            ...snaked(pass, 'holdsG', 'plainG'),
            add: pass.colorants.map(weightJson),
            pour_g: pass.pouredG,
            left_g: pass.leftG,
          })),
        })),
      };
    case 'master-blends':
      return {
        stocks_of: o.of,
        first: stockJson(o.first),
        last: stockJson(o.last),
        draws: o.draws.map((d) => ({ pot: d.pot.id, ...snaked(d, 'firstG', 'lastG') })),
      };
    case 'separate-pots':
      return { pots: o.pots.map((p) => ({ pot: p.pot.id, add: p.colorants.map(weightJson) })) };
  }
}

/** One ombre as the headless sheet prints it. */
export const ombreJson = (o: OmbreWeights): object => ({
  id: o.ombre.id,
  school: o.school,
  layers: o.layers.map((l) => ({
    pour: l.shade.pourId,
    pot: l.pot.id,
    t: l.shade.t,
    mix: l.mix.map((m) => ({ colorant: m.colorant, g_per_kg: m.doseGPerKg })),
  })),
  ...schoolJson(o),
});
