import { setTop } from '../../edit/tops.ts';
import { waitBefore } from '../../edit/waits.ts';
import type { Top } from '../../plan/stepSchema.ts';
import type { TopWay } from '../../plan/topSchema.ts';
import { stagePhrase } from '../../setting/stage.ts';
import { formatLength } from '../../units/format.ts';
import type { Facts } from '../facts.ts';
import { refuse, remedy, warn, type Warning } from '../warning.ts';
import { HEAPS } from '../../pattern/windows.ts';
import { type About, TOUCH } from './clear.ts';

/** Soap heaped to a ridge. */
export function mounded(
  facts: Facts,
  step: Top,
  about: About,
  way: Extract<TopWay, { top: 'mound' }>,
): Warning[] {
  const { plan, geometry } = facts;
  const say = (mm: number): string => formatLength(mm, plan.units.length);
  const half = (way.runs === 'lengthwise' ? geometry.most.width : geometry.most.length) / 2;
  const outside: Warning[] =
    Math.abs(way.offMm) > half + TOUCH
      ? [
          refuse(
            about,
            'top-over-edge',
            `The ridge of the mound is ${say(Math.abs(way.offMm))} off the middle, and the wall is ${say(half)} from it.`,
            [remedy('Along the middle', (p) => setTop(p, step.id, { ...way, offMm: 0 }))],
          ),
        ]
      : [];
  const before = plan.steps.slice(0, plan.steps.indexOf(step));
  const lastPour = before.findLastIndex((s) => s.kind === 'pour');
  const waits = before.slice(lastPour + 1).some((s) => s.kind === 'wait');
  const pour = before[lastPour];
  const pot = plan.pots.find((p) => pour?.kind === 'pour' && p.id === pour.pot);
  const soft: Warning[] =
    !waits && pot && pot.stage < HEAPS.least
      ? [
          warn(
            about,
            'mound-soft',
            `The mound would be heaped on batter that is ${stagePhrase(pot.stage)}: it sinks in. It stands on what is ${stagePhrase(HEAPS.least)}.`,
            [
              remedy(`Wait until it is ${stagePhrase(HEAPS.least)}`, (p) =>
                waitBefore(p, step.id, HEAPS.least),
              ),
            ],
          ),
        ]
      : [];
  return [...outside, ...soft];
}
