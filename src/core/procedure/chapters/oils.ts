import type { Computed } from '../../computed/compute.ts';
import { ACT } from '../../weigh/acts.ts';
import type { Weights } from '../../weigh/weights.ts';
import type { Draft } from '../act.ts';
import { linesOf, sumOfLines } from '../lines.ts';
import { stirIn } from './stirring.ts';

export function oils(computed: Computed, w: Weights): Draft[] {
  const aside = linesOf(computed, w, ACT.carrierOil);
  const lines = linesOf(computed, w, ACT.oils);
  const drafts: Draft[] = [];
  if (aside.length > 0)
    drafts.push({
      id: ACT.carrierOil,
      chapter: 'oils',
      deed: { does: 'set-oil-aside', massG: sumOfLines(aside) },
      lines: aside,
    });
  drafts.push({
    id: ACT.oils,
    chapter: 'oils',
    deed: {
      does: 'weigh-oils',
      massG: sumOfLines(lines),
      aside: aside.length > 0,
      toC: computed.plan.batter.temperatures.oilsC,
    },
    lines,
  });
  return [...drafts, ...stirIn(computed, w, 'oils')];
}
