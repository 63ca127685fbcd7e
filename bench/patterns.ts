import { bodiesOf } from '../src/core/pattern/blocks.ts';
import { specsOf, type Body } from '../src/core/pattern/body.ts';
import { computePlan } from '../src/core/computed/compute.ts';
import { singleBars } from '../src/core/cut/singleBars.ts';
import { sideOfBar } from '../src/core/face/barFaces.ts';
import { planeFace } from '../src/core/face/planeFace.ts';
import { noneReady, readyFrom } from '../src/core/face/ready.ts';
import { rasterise } from '../src/core/face/raster.ts';
import { sectionAt } from '../src/core/face/loafFaces.ts';
import { rowReader } from '../src/core/flow/depositAt.ts';
import { prepare } from '../src/core/flow/prepare.ts';
import type { BlockSpec, Move } from '../src/core/flow/spec.ts';
import type { Prepared } from '../src/core/flow/stages.ts';
import { countRounds } from '../src/core/edit/pattern.ts';
import type { Plan } from '../src/core/plan/planSchema.ts';
import { finish } from '../src/core/task/task.ts';
import { demoPlans } from '../test/support/plans.ts';
import { ms, percentile, type Say } from './measure.ts';

const WIDE = 600;
const HIGH = 180;

const time = (times: number, run: () => void): number =>
  percentile(
    Array.from({ length: times }, () => {
      const from = performance.now();
      run();
      return performance.now() - from;
    }),
    50,
  );

const blockOf = (plan: Plan): BlockSpec => {
  const found = bodiesOf(computePlan(plan)).find(
    (b): b is Extract<Body, { kind: 'block' }> => b.kind === 'block',
  );
  if (!found) throw new Error('no block');
  const [spec] = specsOf(found.block.content);
  if (!spec) throw new Error('nothing is made ready for it');
  return spec;
};

/** A face of a slab across its middle, one look a pixel. */
function faceTime(prepared: Prepared, times = 15): number {
  const read = rowReader(prepared);
  const out = new Uint16Array(WIDE * HIGH);
  return time(times, () => {
    for (let j = 0; j < HIGH; j += 1)
      read([-100, 40, ((j + 0.5) / HIGH) * 59], [200 / WIDE, 0, 0], WIDE, out, j * WIDE, 1);
  });
}

/** Numbers that stay in memory, MB. */
function sizeOf(value: unknown, seen = new Set<unknown>()): number {
  if (value === null || typeof value !== 'object' || seen.has(value)) return 0;
  seen.add(value);
  if (ArrayBuffer.isView(value)) return value.byteLength / 1e6;
  return Object.values(value).reduce((s: number, v) => s + sizeOf(v, seen), 0);
}

/**
 * Patterns: made ready once, then read off; how that grows with rounds, and against pulling back one pour
 * after another.
 */
export function benchPatterns(say: Say): void {
  const plan = demoPlans().find((p) => p.name === 'Basalt Columns');
  if (!plan) throw new Error('no Basalt Columns');
  const spec = blockOf(plan);
  finish(prepare(spec));
  say(
    'slab, 6 pots, 5 rounds, fan, spiral: made ready (aim < 400 ms)',
    ms(time(5, () => finish(prepare(spec)))),
  );
  const prepared = finish(prepare(spec));
  say('a face of 600 x 180 (aim < 16 ms)', ms(faceTime(prepared)));
  const plain: BlockSpec = { ...spec, moves: spec.moves.filter((m) => m.does !== 'stroke') };
  const withoutStick = finish(prepare(plain));
  const rounds5 = faceTime(withoutStick);
  say('  the same without the stick', ms(rounds5));
  const computed = computePlan(plan);
  const ready = readyFrom(noneReady());
  rasterise(sectionAt(computed, 140), 10, 10, ready, 1);
  const faces = singleBars(computed).flatMap((b) =>
    (['near', 'far'] as const).map((s) => sideOfBar(computed, b, s)),
  );
  const gallery = time(3, () => {
    for (const face of faces) rasterise(face, 300, 300, ready, 1);
  });
  say('15 bars, both faces, 300 x 300 (aim < 300 ms)', ms(gallery));
  const moved = time(30, () => {
    rasterise(planeFace(computed, { turnDeg: 30, leanDeg: 20, at: 0.4 }), 200, 66, ready, 1);
  });
  say('a cut moved by hand: its face and a coarse picture (aim < 10 ms)', ms(moved));
  say(
    '  of that in the page: the face alone',
    ms(time(30, () => planeFace(computed, { turnDeg: 30, leanDeg: 20, at: 0.4 }))),
  );
  const many = blockOf(countRounds(plan, 's1', 50));
  const rounds50 = faceTime(
    finish(prepare({ ...many, moves: many.moves.filter((m) => m.does !== 'stroke') })),
  );
  say('a face of 50 rounds against one of 5 (aim: flat)', `${(rounds50 / rounds5).toFixed(2)} x`);
  const nothing: Move = { does: 'stroke', paths: [], widthMm: 1, depthMm: 0 };
  const oneByOne = finish(
    prepare({
      ...plain,
      moves: plain.moves.flatMap((m): readonly Move[] => (m.does === 'rise' ? [m, nothing] : [m])),
    }),
  );
  say(
    'against pulling back pour by pour, 5 rounds (aim: 10 x faster)',
    `${(faceTime(oneByOne, 3) / rounds5).toFixed(1)} x`,
  );
  say('memory of what was made ready', `${sizeOf(prepared).toFixed(1)} MB`);
  benchSections(say);
}

/** What goes through the section: a wire in waves, and close lines. */
function benchSections(say: Say): void {
  for (const name of ['Ripple Sill', 'Larch Spires']) {
    const plan = demoPlans().find((p) => p.name === name);
    if (!plan) throw new Error(`no ${name}`);
    const spec = blockOf(plan);
    const prepared = finish(prepare(spec));
    const what = name === 'Ripple Sill' ? 'six layers and a wire' : 'three pours in close lines';
    say(`${what}: made ready (aim < 400 ms)`, ms(time(3, () => finish(prepare(spec)))));
    say('  a face of 600 x 180', ms(faceTime(prepared, 9)));
  }
  const scraped = demoPlans().find((p) => p.name === 'Peat Furrows');
  if (!scraped) throw new Error('no Peat Furrows');
  const laid = computePlan(scraped);
  const ready = readyFrom(noneReady());
  const face = sectionAt(laid, 100);
  say(
    'five layers, three scraped: a face of 600 x 480, nothing made ready',
    ms(time(9, () => rasterise(face, 600, 480, ready, 1))),
  );
}
