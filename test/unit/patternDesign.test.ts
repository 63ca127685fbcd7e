import type { Mould } from '../../src/core/mould/schema.ts';
import { expect } from 'chai';
import {
  addPattern,
  addStroke,
  addTurn,
  countRounds,
  evenRounds,
  halvingRounds,
  moveTurn,
  removeTurn,
  setRoundPart,
} from '../../src/core/edit/pattern.ts';
import { nineOf, settingsOf } from '../../src/core/edit/vary.ts';
import { pictureOrders } from '../../src/core/face/pictureOrder.ts';
import { planeFace } from '../../src/core/face/planeFace.ts';
import { sectionAt } from '../../src/core/face/loafFaces.ts';
import { noneReady, readyFrom } from '../../src/core/face/ready.ts';
import { rasterise, type Raster } from '../../src/core/face/raster.ts';
import { layPlan } from '../../src/core/fill/layPlan.ts';
import { plannedState } from '../../src/core/look/state.ts';
import { mouldGeometry, holeMl } from '../../src/core/mould/geometry.ts';
import { coloursOf } from '../../src/core/ombre/coloursOf.ts';
import { bodiesOf } from '../../src/core/pattern/blocks.ts';
import { keyOf } from '../../src/core/pattern/body.ts';
import { pathsOf } from '../../src/core/pattern/paths.ts';
import { checkPlan } from '../../src/core/plan/checkPlan.ts';
import type { Plan } from '../../src/core/plan/planSchema.ts';
import { potsOf, roundOf } from '../../src/core/plan/sources.ts';
import type { Pour, Step } from '../../src/core/plan/stepSchema.ts';
import { finish } from '../../src/core/task/task.ts';
import { createClient } from '../../src/workers/jobs/client.ts';
import { inThisThread } from '../../src/workers/jobs/twin.ts';
import { patternTasks, type PatternTasks } from '../../src/workers/patternTasks.ts';
import { boxPlan, demoPlans, rest } from '../support/plans.ts';

const basalt = demoPlans().find((p) => p.name === 'Basalt Columns')!;
const pourOf = (plan: Plan): Pour => {
  const found = plan.steps.find((s) => s.kind === 'pour' && s.pattern);
  if (found?.kind !== 'pour') throw new Error('no pour in rounds');
  return found;
};
const roundsOf = (plan: Plan): readonly number[] => pourOf(plan).pattern!.rounds;

describe('strokes of one block', () => {
  const stroke = (id: string, pitchMm: number): Step => ({
    id,
    kind: 'stroke',
    path: { kind: 'spiral', about: { xMm: 0, yMm: 0 }, pitchMm, way: 'out' },
    end: 'thick',
    depthMm: 20,
  });
  const blockWith = (...strokes: readonly Step[]) => {
    const plan = addPattern(boxPlan([]), { at: 'wall', wall: 'left' }).plan;
    const [{ stack, geometry }] = layPlan({ ...plan, steps: [...plan.steps, ...strokes] }).moulds;
    const [body] = bodiesOf({ plan: { ...plan, steps: [...plan.steps, ...strokes] }, stack, geometry });
    if (body?.kind !== 'block' || body.block.content.kind !== 'moved') throw new Error('nothing is moved');
    const { key, moves } = body.block.content.spec;
    return { key, ways: moves.flatMap((m) => (m.does === 'stroke' ? [m.paths] : [])) };
  };

  it('are handed on as one way where they go alike, and another way is another picture', () => {
    const alike = blockWith(stroke('a', 10), stroke('b', 10), stroke('c', 14));
    expect(alike.ways[1]).to.equal(alike.ways[0]);
    expect(alike.ways[2]).not.to.deep.equal(alike.ways[0]);
    const keys = [
      blockWith(stroke('a', 10), stroke('b', 14)),
      blockWith(stroke('a', 14), stroke('b', 10)),
      blockWith(stroke('a', 10), stroke('b', 10)),
      blockWith(stroke('a', 10)),
      blockWith(stroke('a', 14)),
    ].map((b) => b.key);
    expect(new Set(keys).size).to.equal(keys.length);
    expect(blockWith(stroke('x', 10)).key).to.equal(keys[3]);
  });
});

describe('a round and its rounds', () => {
  const plan = addPattern(boxPlan([]), { at: 'wall', wall: 'left' }).plan;
  const id = pourOf(plan).id;

  it('turns are added, moved and taken out; a pot can come twice, and is then one pot', () => {
    const twice = addTurn(addTurn(plan, id, 'p1'), id, 'p2');
    expect(roundOf(pourOf(twice))).to.deep.equal(['p1', 'p2', 'p1', 'p2']);
    expect(potsOf(pourOf(twice))).to.deep.equal(['p1', 'p2']);
    const moved = moveTurn(twice, id, 0, 1);
    expect(roundOf(pourOf(moved))).to.deep.equal(['p2', 'p1', 'p1', 'p2']);
    expect(roundOf(pourOf(removeTurn(moved, id, 3)))).to.deep.equal(['p2', 'p1', 'p1']);
    const one = removeTurn(removeTurn(plan, id, 0), id, 0);
    expect(roundOf(pourOf(one))).to.deep.equal(['p2']);
  });

  it('half of what is left: each round half of the rest, the last one all of it, also when there are more', () => {
    const halving = halvingRounds(countRounds(plan, id, 5), id);
    const parts = roundsOf(halving);
    let left = parts.reduce((a, b) => a + b, 0);
    for (const part of parts.slice(0, -1)) {
      expect(part).to.be.closeTo(left / 2, 1e-12);
      left -= part;
    }
    expect(parts.at(-1)).to.be.closeTo(left, 1e-12);
    const more = roundsOf(countRounds(halving, id, 6));
    expect(more[5]).to.be.closeTo(more[4]!, 1e-12);
    expect(more[0]).to.be.closeTo(
      more.slice(1).reduce((a, b) => a + b, 0),
      1e-12,
    );
    expect(roundsOf(evenRounds(halving, id))).to.deep.equal([1, 1, 1, 1, 1]);
    expect(roundsOf(setRoundPart(evenRounds(halving, id), id, 2, 0.5))).to.deep.equal([1, 1, 0.5, 1, 1]);
    expect(roundsOf(countRounds(plan, id, 500)).length).to.equal(60);
  });
});

describe('the ways of a stick', () => {
  const box = { x0: -60, x1: 60, y0: -90, y1: 90 };
  const about = { xMm: 0, yMm: 0 };

  it('stay in the mould, and a fan has as many strokes as it says, in or out', () => {
    const kinds = [
      { kind: 'fan', about, strokes: 24, way: 'out', doubled: true },
      { kind: 'spiral', about, pitchMm: 15, way: 'in' },
      { kind: 'rings', about, spacingMm: 20 },
      { kind: 'lines', runs: 'crosswise', spacingMm: 12, turns: true },
    ] as const;
    for (const path of kinds)
      for (const [x, y] of pathsOf(path, box, 10).flat()) {
        expect(Math.abs(x), path.kind).to.be.at.most(56.001);
        expect(Math.abs(y), path.kind).to.be.at.most(86.001);
      }
    expect(pathsOf(kinds[0], box, 10).length).to.equal(48);
    const out = pathsOf({ ...kinds[0], doubled: false }, box, 10);
    const inward = pathsOf({ ...kinds[0], doubled: false, way: 'in' }, box, 10);
    expect(inward.map((p) => p.toReversed())).to.deep.equal(out);
    // turns of a spiral are a pitch apart along a ray
    const radii = pathsOf({ ...kinds[1], way: 'out' }, box, 0)
      .flat()
      .filter(([x, y]) => x > 0 && Math.abs(y) < 1.5)
      .map(([x]) => x);
    expect(radii.length).to.be.at.least(3);
    expect(Math.max(...radii) - Math.min(...radii)).to.be.closeTo(
      15 * Math.round((Math.max(...radii) - Math.min(...radii)) / 15),
      2,
    );
  });
});

describe('a column', () => {
  it('can be turned, and one that sticks out of the mould when turned is refused with its size', () => {
    const { mould } = boxPlan([rest()]);
    const stood = (acrossMm: number, turnDeg: number): Mould => ({
      ...mould,
      columns: [{ id: 'c1', form: 'square', acrossMm, turnDeg, xMm: 0, yMm: 0 }],
    });
    const [across, turned, small] = [stood(60, 0), stood(60, 30), stood(40, 30)];
    expect(holeMl(mouldGeometry(small), 60)).to.be.closeTo(0.04 * 0.04 * 0.06 * 1e6, 1e-9);
    expect(checkPlan({ ...boxPlan([rest()]), mould: across })).to.deep.equal([]);
    const [fault] = checkPlan({ ...boxPlan([rest()]), mould: turned });
    expect(fault?.code).to.equal('column-outside');
    expect(fault?.message).to.match(/60 mm/);
  });
});

describe('trying a design otherwise', () => {
  it('nine round it: every one is a plan that can be taken, and the middle one is as it is', () => {
    const settings = settingsOf(basalt);
    expect(settings.map((s) => s.name)).to.include.members([
      'Rounds',
      'Poured from',
      'Thickness',
      'Order',
      'The fan',
    ]);
    for (const [i, across] of settings.entries()) {
      const down = settings[(i + 1) % settings.length]!;
      const nine = nineOf(across, down);
      expect(nine.length).to.equal(9);
      expect(nine[4]!.apply(basalt)).to.deep.equal(basalt);
      const changed = nine.map((v) => v.apply(basalt));
      for (const plan of changed) expect(checkPlan(plan), across.name).to.deep.equal([]);
      expect(new Set(changed.map((p) => JSON.stringify(p))).size, `${across.name}, ${down.name}`).to.equal(9);
    }
  });

  it('orders for the picture are no worse than what there is, and of the same pots', () => {
    const colours = coloursOf(basalt, plannedState(basalt, 'cured')).pots;
    const { now, best } = finish(pictureOrders({ plan: basalt, pourId: pourOf(basalt).id, colours }));
    expect(best.length).to.equal(3);
    for (const { order, contrast } of best) {
      expect(contrast).to.be.at.least(now - 1e-9);
      expect(order.toSorted()).to.deep.equal([...roundOf(pourOf(basalt))].sort());
    }
  });
});

describe('a cut by hand', () => {
  const [laid] = layPlan(basalt).moulds;
  const ready = readyFrom(noneReady());

  it('across and upright it is the section there; lengthwise and level it has the loaf’s other sizes', () => {
    const across = planeFace(laid, { turnDeg: 0, leanDeg: 0, at: 0.3 });
    const section = sectionAt(laid, 0.3 * 280);
    const a = rasterise(across, 120, 40, ready, 1);
    const b = rasterise(
      { ...section, left: across.left, right: across.right, foot: across.foot, head: across.head },
      120,
      40,
      ready,
      1,
    );
    const differ = a.band.filter((n, i) => n !== b.band[i]);
    expect(differ.length / a.band.length).to.be.below(0.02);
    const level = planeFace(laid, { turnDeg: 0, leanDeg: 90, at: 0.5 });
    expect(level.right - level.left).to.be.closeTo(200, 1e-6);
    expect(level.head - level.foot).to.be.closeTo(280, 1e-6);
    const along = planeFace(laid, { turnDeg: 90, leanDeg: 0, at: 0.5 });
    expect(along.right - along.left).to.be.closeTo(280, 1e-6);
  });

  it('at any angle shows as much as the plane cuts of the loaf, and no hole in it', () => {
    for (const cut of [
      { turnDeg: 30, leanDeg: 20, at: 0.4 },
      { turnDeg: 140, leanDeg: 60, at: 0.6 },
    ]) {
      const face = planeFace(laid, cut);
      const { band } = rasterise(face, 200, 120, ready, 1);
      const [block] = face.face;
      const area = Math.abs(
        block!.outline.reduce((s, p, i, all) => {
          const q = all[(i + 1) % all.length]!;
          return s + p.h * q.z - q.h * p.z;
        }, 0) / 2,
      );
      const scale = Math.min(200 / (face.right - face.left), 120 / (face.head - face.foot));
      expect(band.filter((n) => n > 0).length / scale ** 2).to.be.closeTo(area, 0.03 * area);
    }
  });
});

describe('patterns apart from the page', () => {
  const client = () => createClient<PatternTasks>(inThisThread(patternTasks()));
  const face = sectionAt(layPlan(basalt).moulds[0], 100);

  it('come coarse and then sharp, and the two are of one picture', async () => {
    const partials: Raster[] = [];
    const job = client().ask(
      'face',
      { face, width: 480, height: 160 },
      {
        onProgress: ({ partial }) => {
          if (partial) partials.push(partial);
        },
      },
    );
    const outcome = await job.outcome;
    if (outcome.kind !== 'done') throw new Error(outcome.kind);
    expect(partials.length).to.equal(1);
    const [coarse] = partials;
    const sharp = outcome.value;
    let same = 0;
    for (let y = 0; y < coarse!.height; y += 1)
      for (let x = 0; x < coarse!.width; x += 1) {
        const px = Math.min(sharp.width - 1, x * 3 + 1) * sharp.samples + 1;
        const py = Math.min(sharp.height - 1, y * 3 + 1) * sharp.samples + 1;
        const there = sharp.pours[sharp.band[py * sharp.width * sharp.samples + px]! - 1];
        if (coarse!.pours[coarse!.band[y * coarse!.width + x]! - 1] === there) same += 1;
      }
    expect(same / (coarse!.width * coarse!.height)).to.be.above(0.8);
  });

  it('a small picture is drawn on coarser grids, and is the same to the eye', async () => {
    const small = await client().ask('face', { face, width: 150, height: 50 }).outcome;
    if (small.kind !== 'done') throw new Error(small.kind);
    const fine = rasterise(face, 150, 50, readyFrom(noneReady()));
    const differ = small.value.band.filter((n, i) => n !== fine.band[i]);
    // edges lie a fraction of a pixel otherwise, and there is as much of every colour
    expect(differ.length / fine.band.length).to.be.below(0.22);
    for (const [n] of fine.pours.entries()) {
      const part = ({ band }: Raster): number => band.filter((b) => b === n + 1).length / band.length;
      expect(part(small.value)).to.be.closeTo(part(fine), 0.015);
    }
  });

  it('the newest request takes the place of the one before, and one can be stopped', async () => {
    const asking = client();
    const first = asking.ask('face', { face, width: 200, height: 70 }, { key: 'a' });
    const second = asking.ask('face', { face, width: 100, height: 35 }, { key: 'a' });
    expect(await first.outcome).to.deep.equal({ kind: 'cancelled', why: 'superseded' });
    expect((await second.outcome).kind).to.equal('done');
    const third = asking.ask('face', {
      face: sectionAt(layPlan(basalt).moulds[0], 50),
      width: 300,
      height: 100,
    });
    third.stop();
    expect(await third.outcome).to.deep.equal({ kind: 'cancelled', why: 'stopped' });
  });

  it('a change of colour simulates nothing: the block is the same', () => {
    const [before] = bodiesOf(layPlan(basalt).moulds[0]);
    const repainted = { ...basalt, pots: basalt.pots.map((p) => ({ ...p, colour: '#123456' })) };
    const [after] = bodiesOf(layPlan(repainted).moulds[0]);
    if (before?.kind !== 'block' || after?.kind !== 'block') throw new Error('no block');
    expect(keyOf(after.block.content)).to.equal(keyOf(before.block.content));
    const thicker = addStroke(basalt, 'rings', 20).plan;
    const [other] = bodiesOf(layPlan(thicker).moulds[0]);
    if (other?.kind !== 'block') throw new Error('no block');
    expect(keyOf(other.block.content)).not.to.equal(keyOf(before.block.content));
  });
});
