import { expect } from 'chai';
import fc from 'fast-check';
import { addColumn, formedAs, putColumn, removeColumn, withCorner } from '../../src/core/edit/columns.ts';
import { addPattern, addPull, addStroke, setPlace } from '../../src/core/edit/pattern.ts';
import { computePlan } from '../../src/core/computed/compute.ts';
import { migratePlan } from '../../src/core/exchange/migrate.ts';
import { readMouldFile, writeMouldFile } from '../../src/core/exchange/mouldFile.ts';
import { topFace } from '../../src/core/face/loafFaces.ts';
import { rasterise } from '../../src/core/face/raster.ts';
import { noneReady, readyFrom } from '../../src/core/face/ready.ts';
import { layPlan } from '../../src/core/fill/layPlan.ts';
import type { LaidMould } from '../../src/core/fill/laid.ts';
import type { Flat } from '../../src/core/geometry/prism.ts';
import { convexPieces, eyeOf, gapBetween, isConvex, signedArea } from '../../src/core/geometry/star.ts';
import { isInStar, starOf, starReach } from '../../src/core/flow/outline.ts';
import { columnOutline } from '../../src/core/mould/column.ts';
import { holeMl, mouldGeometry } from '../../src/core/mould/geometry.ts';
import type { Column, Mould, Shape } from '../../src/core/mould/schema.ts';
import { holeMassG } from '../../src/core/pattern/hole.ts';
import { checkPlan } from '../../src/core/plan/checkPlan.ts';
import type { Plan } from '../../src/core/plan/planSchema.ts';
import { sheetJson } from '../../src/core/sheet/sheetJson.ts';
import { boxPlan, pour, rest } from '../support/plans.ts';
import { seeded } from '../support/random.ts';
import { expectConserved, simulatedMl } from '../support/simulated.ts';

const SQUARE: readonly Flat[] = [
  [-10, -10],
  [10, -10],
  [10, 10],
  [-10, 10],
];
const L_FORM: readonly Flat[] = [
  [0, 0],
  [30, 0],
  [30, 10],
  [10, 10],
  [10, 30],
  [0, 30],
];
const U_FORM: readonly Flat[] = [
  [0, 0],
  [30, 0],
  [30, 30],
  [20, 30],
  [20, 10],
  [10, 10],
  [10, 30],
  [0, 30],
];
const PENTAGRAM: readonly Flat[] = [0, 2, 4, 1, 3].map((k): Flat => [
  20 * Math.cos((2 * Math.PI * k) / 5),
  20 * Math.sin((2 * Math.PI * k) / 5),
]);

/** Corners at even angles, as far out as is said. */
const starOut = (radii: readonly number[]): readonly Flat[] =>
  radii.map((r, i): Flat => [
    r * Math.cos((2 * Math.PI * i) / radii.length),
    r * Math.sin((2 * Math.PI * i) / radii.length),
  ]);

const anyStar = fc
  .array(fc.double({ min: 6, max: 30, noNaN: true }), { minLength: 5, maxLength: 14 })
  .map(starOut);

/** By crossing edges on the way out (even-odd rule): another way of telling than the one that is tested. */
function evenOdd(points: readonly Flat[], [x, y]: Flat): boolean {
  let inside = false;
  for (const [i, [ax, ay]] of points.entries()) {
    const [bx, by] = points[(i + 1) % points.length] as Flat;
    if (ay > y !== by > y && x < ax + ((y - ay) / (by - ay)) * (bx - ax)) inside = !inside;
  }
  return inside;
}

describe('the outline of a column', () => {
  it('has an eye that all of it is seen from, or is told to have none', () => {
    expect(eyeOf(SQUARE)).to.deep.equal([0, 0]);
    const [x, y] = eyeOf(L_FORM)!;
    // the corner that both arms share
    expect(x).to.be.within(0, 10);
    expect(y).to.be.within(0, 10);
    expect(eyeOf(U_FORM)).to.equal(undefined);
    expect(eyeOf(PENTAGRAM)).to.equal(undefined);
    expect(isConvex(PENTAGRAM)).to.equal(false);
    expect(isConvex(SQUARE)).to.equal(true);
  });

  it('is made of convex pieces that are as large as it is', () => {
    fc.assert(
      fc.property(anyStar, (points) => {
        if (!eyeOf(points)) return;
        const pieces = convexPieces(points);
        expect(pieces.every(isConvex)).to.equal(true);
        expect(pieces.reduce((s, p) => s + signedArea(p), 0)).to.be.closeTo(signedArea(points), 1e-9 * 3000);
      }),
      { numRuns: 200, seed: 11 },
    );
  });

  it('holds the places that the even-odd rule says, and shrinks to each by the root of its area', () => {
    fc.assert(
      fc.property(
        anyStar,
        fc.double({ min: -32, max: 32, noNaN: true }),
        fc.double({ min: -32, max: 32, noNaN: true }),
        (points, x, y) => {
          if (!eyeOf(points)) return;
          const star = starOf(points);
          const reach = starReach(star, x, y);
          if (Math.abs(reach - 1) > 1e-9) expect(isInStar(star, x, y)).to.equal(evenOdd(points, [x, y]));
          const [ex, ey] = star.eye;
          expect(starReach(star, ex + (x - ex) / 2, ey + (y - ey) / 2)).to.be.closeTo(reach / 2, 1e-9);
        },
      ),
      { numRuns: 300, seed: 12 },
    );
  });

  it('is as far from another as it is', () => {
    const aside = (by: number): readonly Flat[] => SQUARE.map(([x, y]): Flat => [x + by, y]);
    expect(gapBetween(SQUARE, aside(25))).to.be.closeTo(5, 1e-12);
    expect(gapBetween(SQUARE, aside(15))).to.be.closeTo(-5, 1e-12);
    // in the notch of an L, touching nothing
    expect(
      gapBetween(
        L_FORM,
        SQUARE.map(([x, y]): Flat => [22 + x / 2, 22 + y / 2]),
      ),
    ).to.be.closeTo(7, 1e-12);
  });
});

const star = (xMm: number, yMm: number, id = 'c2'): Column => ({
  id,
  form: 'own',
  xMm,
  yMm,
  turnDeg: 25,
  points: starOut([16, 7, 16, 7, 16, 7, 16, 7]).map(([x, y]) => ({ xMm: x, yMm: y })),
});
const round = (xMm: number, yMm: number, id = 'c1'): Column => ({
  id,
  form: 'round',
  acrossMm: 20,
  xMm,
  yMm,
});

const BOX: Shape = { kind: 'box', lengthMm: 160, widthMm: 110, heightMm: 60 };

/** Three pots in rounds over the columns, in a mould of a shape. */
function over(columns: readonly Column[], shape: Shape = BOX, column?: string): Plan {
  const pots = ['p1', 'p2', 'p3'].map((id, i) => ({
    id,
    letter: 'ABC'.charAt(i),
    name: id,
    colour: ['#ece4d2', '#5f6c78', '#b5663a'][i]!,
    stage: 1 + 0.4 * i,
    colorants: [],
  }));
  const empty = boxPlan([], { mould: { ...boxPlan([]).mould, shape, columns: [...columns] }, pots });
  const fill: Plan['fill'] = {
    ...empty.fill,
    top: [{ pot: 'p2', massG: 200 }],
    to: { kind: 'headspace', headspaceMm: 6 },
  };
  const place = column === undefined ? ({ at: 'column' } as const) : ({ at: 'column', column } as const);
  const { plan } = addPattern({ ...empty, fill }, place);
  return addPull({
    ...plan,
    steps: plan.steps.map((s) =>
      s.kind === 'pour' && s.pattern
        ? { ...s, pattern: { ...s.pattern, then: ['p2', 'p3'], rounds: [2, 1, 1] } }
        : s,
    ),
  });
}

const firstOf = (plan: Plan): LaidMould => layPlan(plan).moulds[0];

describe('several columns', () => {
  it('keep out their own volumes, whatever their outlines, and pours round them keep theirs', () => {
    fc.assert(
      fc.property(anyStar, fc.integer({ min: -20, max: 20 }), (points, at) => {
        if (!eyeOf(points)) return;
        const own: Column = {
          ...star(20, 30 + at),
          form: 'own',
          points: points.map(([x, y]) => ({ xMm: x, yMm: y })),
        };
        const mould: Mould = { ...boxPlan([]).mould, shape: BOX, columns: [round(-25, -40), own] };
        const geometry = mouldGeometry(mould);
        const area = Math.PI * 100 + signedArea(points);
        expect(holeMl(geometry, 50)).to.be.closeTo((area * 50) / 1000, 1e-6);
        expect(geometry.rimVolumeMl).to.be.closeTo((160 * 110 * 60 - area * 60) / 1000, 1e-6);
      }),
      { numRuns: 40, seed: 13 },
    );
  });

  it('what the pictures show of each deposit is what was poured: over all of them, over one, and with strokes', () => {
    const two = [round(-25, -40), star(24, 38)];
    const tapered: Shape = {
      kind: 'tapered',
      floorLengthMm: 150,
      floorWidthMm: 100,
      rimLengthMm: 165,
      rimWidthMm: 112,
      heightMm: 60,
    };
    // half of a percent of all that is poured, and as much again for the sampling of thin bands
    expectConserved(firstOf(over(two)), 0.01, 'two');
    expectConserved(firstOf(over(two, tapered)), 0.01, 'two, tapered');
    expectConserved(firstOf(over(two, BOX, 'c1')), 0.01, 'one of two');
    expectConserved(firstOf(over(two, BOX, 'c2')), 0.01, 'the star of two');
    expectConserved(firstOf(addStroke(over(two), 'spiral', 300).plan), 0.01, 'two and a spiral');
    const three = [round(-30, -50), star(28, 0), { ...round(-30, 50), id: 'c3', acrossMm: 26 } as Column];
    expectConserved(firstOf(over(three)), 0.01, 'three');
  });

  it('in random designs: over them, then somewhere else, and through what is pushed about', () => {
    const random = seeded(20261127);
    const any = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)]!;
    for (let n = 0; n < 6; n += 1) {
      const columns = [round(-25, -45 + 20 * random()), star(20 + 8 * random(), 30 + 15 * random())];
      let plan = over(columns, BOX, any([undefined, 'c1', 'c2']));
      const pull = plan.steps.filter((s) => s.kind === 'pull');
      plan = { ...plan, steps: plan.steps.filter((s) => s.kind !== 'pull') };
      plan = addPattern(
        plan,
        any([
          { at: 'wall', wall: 'left' },
          { at: 'line', runs: 'lengthwise', offMm: 9 },
          { at: 'drops', spots: [{ xMm: 30, yMm: -40 }] },
          { at: 'column', column: 'c2' },
        ] as const),
      ).plan;
      plan = { ...plan, steps: [...plan.steps, ...pull] };
      if (random() < 0.5) plan = addStroke(plan, any(['rings', 'lines'] as const), 300).plan;
      expectConserved(firstOf(plan), 0.012, `design ${n}`);
    }
  });

  it('that stand alike on both sides give a top that is the same on both', () => {
    const plan = over([round(-30, 0, 'c1'), round(30, 0, 'c2')]);
    const laid = firstOf(plan);
    const { band, wide, high } = (() => {
      const [wide, high] = [220, 320];
      const { band } = rasterise(topFace(laid), wide, high, readyFrom(noneReady()), 1);
      return { band, wide, high };
    })();
    let differs = 0;
    for (let j = 0; j < high; j += 1)
      for (let i = 0; i < wide; i += 1)
        if (band[j * wide + i] !== band[j * wide + (wide - 1 - i)]) differs += 1;
    expect(differs / (wide * high)).to.be.below(0.02);
  });

  it('what is poured over one flows round the other: nothing of it comes into its hole', () => {
    const plan = over([round(-25, -40), star(24, 38)], BOX, 'c1');
    const laid = firstOf(plan);
    const { band, pours } = rasterise(topFace(laid), 330, 480, readyFrom(noneReady()), 1);
    const outline = columnOutline(star(24, 38));
    let [held, other] = [0, 0];
    for (let j = 0; j < 480; j += 1)
      for (let i = 0; i < 330; i += 1) {
        // the top as it is seen: near end below, right on the right, three px a mm
        const [x, y] = [(i + 0.5) / 3 - 55, 80 - (j + 0.5) / 3];
        if (!evenOdd(outline, [x, y])) continue;
        if (pours[band[j * 330 + i]! - 1] === 'pot p2') held += 1;
        else other += 1;
      }
    expect(held).to.be.above(2000);
    expect(other / held).to.be.below(0.03);
  });

  it('are pulled at once: the sheet says what goes into each hole, by its area', () => {
    const plan = over([round(-25, -40), star(24, 38)]);
    const computed = computePlan(plan);
    const sheet = sheetJson(computed) as unknown as { procedure: { does: string; text: string }[] };
    const pull = sheet.procedure.find((a) => a.does === 'pull-columns')!;
    const grams = [...pull.text.matchAll(/(\d+(?:\.\d+)?) g/g)].map((m) => Number(m[1]));
    const holeG = holeMassG(computed.stack.layers);
    const [all, first, second] = grams as [number, number, number];
    expect(all).to.be.closeTo(holeG, 1);
    const [a, b] = [Math.PI * 100, signedArea(columnOutline(star(0, 0)))];
    expect(first).to.be.closeTo((holeG * a) / (a + b), 1);
    expect(second).to.be.closeTo((holeG * b) / (a + b), 1);
    expect(sheet.procedure.find((a) => a.does === 'stand-columns')!.text).to.match(/2 columns.*own outline/);
    expect(sheet.procedure.find((a) => a.does === 'pour')!.text).to.contain('over the 2 columns');
    const overOne = sheetJson(computePlan(over([round(-25, -40), star(24, 38)], BOX, 'c2'))) as typeof sheet;
    expect(overOne.procedure.find((a) => a.does === 'pour')!.text).to.contain('over column 2');
  });
});

describe('a column’s hole', () => {
  it('goes down through what was set before it was poured over, and is filled from its floor up', () => {
    const plan = over([round(0, 0)]);
    const base: Plan['steps'] = [
      pour('b1', 'p1', { kind: 'height', heightMm: 20 }),
      { id: 'w1', kind: 'wait', until: { kind: 'minutes', minutes: 30 } },
    ];
    const under: Plan = {
      ...plan,
      steps: [...base, ...plan.steps],
      fill: {
        ...plan.fill,
        top: [
          { pot: 'p3', massG: 5 },
          { pot: 'p2', massG: 100 },
        ],
      },
    };
    expectConserved(firstOf(under), 0.01, 'over a set base');
    const laid = firstOf(under);
    const shown = simulatedMl(laid, readyFrom(noneReady()), 90, 160);
    const density = laid.stack.layers[1]!.densityGMl;
    // 5 g at the bottom, the rest of the hole from the other pot: as much as the hole holds, set layer and
    // all
    const holeG = holeMassG(laid.stack.layers);
    expect(holeG / density).to.be.closeTo((Math.PI * 100 * laid.fill.heightMm) / 1000, 0.05);
    expect(shown.get('pot p3')!).to.be.closeTo(5 / density, 0.5);
    expect(shown.get('pot p2')!).to.be.closeTo((holeG - 5) / density, 0.6);
  });

  it('is closed over by what is poured once it is filled: that covers the whole mould', () => {
    const plan = over([round(0, 0)]);
    const first = plan.steps.find((s) => s.kind === 'pour')!;
    const last = pour('z1', 'p1', { kind: 'mass', massG: 150 });
    const later: Plan = { ...plan, steps: [...plan.steps, last] };
    const laid = firstOf(later);
    const top = laid.stack.layers.at(-1)!;
    // 150 g over 160 x 110 mm, nothing kept out of it
    expect(top.riseMm).to.be.closeTo((150 / top.densityGMl / (160 * 110)) * 1000, 1e-6);
    expect(top.blocked).to.have.length(0);
    // the hole ends where the column was pulled
    const pulledAt = laid.stack.layers[0]!.offset;
    expect(holeMassG(laid.stack.layers) / laid.stack.layers[0]!.densityGMl).to.be.closeTo(
      (Math.PI * 100 * pulledAt) / 1000,
      0.02,
    );
    expectConserved(firstOf(later), 0.01, 'closed over');
    // poured over a column that is out, it is told
    const late = setPlace({ ...plan, steps: [...plan.steps, { ...first, id: 'z2' }] }, 'z2', {
      at: 'column',
    });
    expect(computePlan(late).warnings.find((w) => w.code === 'no-column')?.message).to.contain(
      'pulled by then',
    );
  });
});

describe('a pour that pushes others aside after the pull', () => {
  it('is drawn over what is filled, as if that had set, and told; pulled after it, it is not', () => {
    const plan = over([round(-20, -30, 'c1'), { ...round(22, 36, 'c2'), acrossMm: 40 } as Column]);
    const { plan: after } = addPattern(plan, { at: 'drops', spots: [{ xMm: 20, yMm: -50 }] });
    const heldIn = (p: Plan): number =>
      simulatedMl(firstOf(p), readyFrom(noneReady()), 90, 160).get('pot p2')!;
    const laid = firstOf(after);
    const holes = laid.stack.layers.filter((l) => l.blocked.length > 0);
    const holeMl = holeMassG(holes) / holes[0]!.densityGMl;
    expect(heldIn(after)).to.be.closeTo(holeMl, 0.06 * holeMl);
    expectConserved(laid, 0.012, 'drops after the pull');
    const told = (p: Plan) => computePlan(p).warnings.filter((w) => w.code === 'poured-after-pull');
    const [warning] = told(after);
    const cured = warning!.remedies![0]!.apply(after);
    expect(told(cured)).to.deep.equal([]);
    expect(cured.steps.at(-1)!.kind).to.equal('pull');
    expectConserved(firstOf(cured), 0.012, 'drops before the pull');
  });
});

describe('a stick and a column', () => {
  const plan = over([round(-25, -40), star(24, 38)]);
  const standing: Plan = { ...plan, steps: plan.steps.filter((s) => s.kind !== 'pull') };
  const told = (p: Plan) => computePlan(p).warnings.filter((w) => w.code === 'stroke-at-column');

  it('goes through none that still stands: it is told which, and one press pulls them first', () => {
    const drawn = addStroke(standing, 'lines', 50).plan;
    const [warning] = told(drawn);
    expect(warning!.message).to.contain('column 1 and others, which still stand');
    const cured = warning!.remedies![0]!.apply(drawn);
    expect(told(cured)).to.deep.equal([]);
    expect(
      cured.steps.filter((s) => s.kind === 'pull' || s.kind === 'stroke').map((s) => s.kind),
    ).to.deep.equal(['pull', 'stroke']);
    // a pull that was to come later is the same one, earlier
    const later = addPull(drawn);
    const late: Plan = {
      ...later,
      steps: [
        ...later.steps.filter((s) => s.kind !== 'pull'),
        ...later.steps.filter((s) => s.kind === 'pull'),
      ],
    };
    const moved = told(late)[0]!.remedies![0]!.apply(late);
    expect(moved.steps).to.have.length(late.steps.length);
    expect(told(moved)).to.deep.equal([]);
  });

  it('is not spoken of where it keeps clear of them: a fan from the middle of one begins outside it', () => {
    const clear = over([round(0, 0)]);
    const fan = addStroke({ ...clear, steps: clear.steps.filter((s) => s.kind !== 'pull') }, 'fan', 50).plan;
    expect(told(fan)).to.deep.equal([]);
    expect(told(addStroke(plan, 'lines', 50).plan)).to.deep.equal([]);
  });
});

describe('columns are changed', () => {
  const plan = over([round(-25, -40), star(24, 38)], BOX, 'c2');

  it('one more where there is room, clear of the others', () => {
    let more = plan;
    for (let n = 0; n < 4; n += 1) more = addColumn(more);
    expect(more.mould.columns).to.have.length(6);
    expect(checkPlan(more)).to.deep.equal([]);
    const outlines = more.mould.columns!.map(columnOutline);
    for (const [i, a] of outlines.entries())
      for (const b of outlines.slice(0, i)) expect(gapBetween(a, b)).to.be.above(0);
  });

  it('taken out, what went over it alone goes over those that stay', () => {
    const left = removeColumn(plan, 'c2');
    expect(left.mould.columns).to.have.length(1);
    const over = left.steps.find((s) => s.kind === 'pour')!;
    expect(over.pattern?.place).to.deep.equal({ at: 'column' });
    expect(removeColumn(left, 'c1').mould).to.not.have.property('columns');
  });

  it('to another form and back, as large; a corner more is on the line between two', () => {
    const own = formedAs(round(3, 4), 'own');
    expect(Math.abs(signedArea(columnOutline(own)))).to.be.closeTo((3 * Math.sqrt(3) * 100) / 2, 1.5);
    expect(formedAs(own, 'round')).to.deep.equal(round(3, 4));
    if (own.form !== 'own') throw new Error('own outline');
    const more = withCorner(own, 5);
    expect(more.points).to.have.length(7);
    expect(signedArea(columnOutline(more))).to.be.closeTo(signedArea(columnOutline(own)), 1);
    expect(putColumn(plan, { ...round(0, 0), id: 'c2' }).mould.columns![1]).to.include({ form: 'round' });
  });
});

describe('columns that cannot be are refused at their field', () => {
  const faultOf = (columns: readonly Column[], shape: Shape = BOX) =>
    checkPlan(boxPlan([rest()], { mould: { ...boxPlan([]).mould, shape, columns: [...columns] } }))[0];
  const outlined = (points: readonly Flat[]): Column => ({
    id: 'c1',
    form: 'own',
    xMm: 0,
    yMm: 0,
    points: points.map(([x, y]) => ({ xMm: x, yMm: y })),
  });

  it('standing in each other, with their numbers', () => {
    const fault = faultOf([round(0, 0), star(10, 0)]);
    expect(fault).to.include({ code: 'columns-meet', at: 'mould.columns.1.xMm' });
    expect(fault!.message).to.contain('columns 1 and 2');
  });

  it('with an outline that crosses itself or turns back', () => {
    for (const points of [U_FORM, PENTAGRAM])
      expect(faultOf([outlined(points)])).to.include({
        code: 'column-outline',
        at: 'mould.columns.0.points',
      });
    // clockwise is as good
    expect(faultOf([outlined(L_FORM.toReversed())])).to.equal(undefined);
  });

  it('beyond the floor, also a round one, with the size', () => {
    expect(faultOf([round(0, 0), star(50, 0)])?.message).to.match(/^column 2 .* 110 mm wide$/);
    const tube: Shape = { kind: 'tube', stands: 'standing', lengthMm: 90, diameterMm: 100 };
    expect(faultOf([round(38, 0)], tube)).to.equal(undefined);
    expect(faultOf([round(30, 30)], tube)?.message).to.contain('round, 100 mm across');
  });
});

describe('one column as it was written before there were several', () => {
  const column = { form: 'square', acrossMm: 40, xMm: 0, yMm: 5, turnDeg: 10 };

  it('is the first of several in a plan of version 5, in its other moulds too', () => {
    const now = migratePlan({ mould: { name: 'a', column }, others: [{ mould: { name: 'b', column } }] }, 5);
    const expected = [{ id: 'c1', ...column }];
    // coloured as it was until then
    const clock = { colouring: 'all-first' };
    expect(now).to.deep.equal({
      mould: { name: 'a', columns: expected },
      others: [{ mould: { name: 'b', columns: expected } }],
      clock,
    });
    expect(migratePlan({ mould: { name: 'a' } }, 5)).to.deep.equal({ mould: { name: 'a' }, clock });
  });

  it('and in a mould file of version 1', () => {
    const mould: Mould = { ...boxPlan([]).mould, columns: [{ id: 'c1', ...column } as Column] };
    const { columns: _now, ...rest } = mould;
    const old = JSON.stringify({ format: 'drip-line/mould', version: 1, mould: { ...rest, column } });
    for (const text of [old, writeMouldFile(mould)]) {
      const read = readMouldFile(text);
      expect(read.ok && read.value).to.deep.equal(mould);
    }
  });
});
