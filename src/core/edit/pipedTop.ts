import type { Plan } from '../plan/planSchema.ts';
import type { PipedRow } from '../plan/topSchema.ts';
import { PIPES } from '../pattern/windows.ts';
import { blendPiping, blendPot } from './clock.ts';
import { insertLate } from './pattern.ts';
import { addTop, half, newRow, setTop, someBar } from './tops.ts';
import { newWait } from './waits.ts';

/** The stage that carries a mound, and what is piped. Common practice, no source. */
const CARRIES = 2.8;

/**
 * What is heaped is blended on to here, and is still poured level first; what is piped, to where it keeps its
 * shape. Judgements.
 */
const HEAPED_FROM = 2.5;
const PIPED_FROM = PIPES.least + 0.1;

/** Narrower than this a bar has room for one row of dollops alone, mm. */
const WIDE = 55;

/**
 * Level layers with a mound to the right, a row of dollops to the left of it and a continuous row on its
 * crest.
 */
export function pipedTop(layers: Plan): Plan {
  const { x0, x1, y0, y1 } = someBar(layers);
  const [wide, deep] = [x1 - x0, y1 - y0];
  const stood = insertLate(layers, newWait(layers, undefined, { kind: 'stage', stage: CARRIES }), undefined);
  const heaped = wide < WIDE || layers.cut.strips > 1 ? { plan: stood, stepId: '' } : addTop(stood, 'mound');
  const mound = heaped.plan.steps.find((s) => s.id === heaped.stepId);
  const sided =
    mound?.kind === 'top' && mound.way.top === 'mound'
      ? setTop(heaped.plan, mound.id, {
          ...mound.way,
          offMm: half(wide / 4),
          wideMm: half(wide * 0.6),
          heightMm: 10,
        })
      : heaped.plan;
  const { plan, stepId } = addTop(sided, 'piping');
  const row = newRow(plan, 0);
  const acrossMm = Math.max(3, half(Math.min(28, deep * 0.9, wide * 0.4)));
  const dollops: PipedRow = { ...row, acrossMm, heightMm: half(acrossMm * 0.85) };
  const { perBar: _dollops, ...rope } = row;
  const ropeMm = Math.max(3, half(Math.min(16, wide * 0.2)));
  const rows: PipedRow[] =
    wide < WIDE
      ? [dollops]
      : [
          { ...dollops, offMm: 0 - half(wide / 4) },
          { ...rope, offMm: half(wide / 4), acrossMm: ropeMm, heightMm: half(ropeMm * 0.7) },
        ];
  const piped = blendPiping(setTop(plan, stepId, { top: 'piping', rows }), PIPED_FROM);
  return mound?.kind === 'top' && mound.way.top === 'mound'
    ? blendPot(piped, mound.way.pot, HEAPED_FROM)
    : piped;
}
