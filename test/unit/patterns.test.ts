import { expect } from 'chai';
import { computePlan } from '../../src/core/computed/compute.ts';
import { addPattern, addPull, addStroke } from '../../src/core/edit/pattern.ts';
import { noneReady, readyFrom } from '../../src/core/face/ready.ts';
import { rasterise } from '../../src/core/face/raster.ts';
import { planAt, sectionAt, topFace } from '../../src/core/face/loafFaces.ts';
import { layPlan } from '../../src/core/fill/layPlan.ts';
import type { LaidMould } from '../../src/core/fill/laid.ts';
import { holeVolumeMl } from '../../src/core/pattern/hole.ts';
import type { Place } from '../../src/core/ways/ways.ts';
import type { Plan } from '../../src/core/plan/planSchema.ts';
import { roundsOf } from '../../src/core/weigh/rounds.ts';
import { sheetJson } from '../../src/core/sheet/sheetJson.ts';
import type { Shape } from '../../src/core/mould/schema.ts';
import { boxPlan, demoPlans, pour, rest } from '../support/plans.ts';
import { seeded } from '../support/random.ts';
import { OTHER_SHAPES } from '../support/shapes.ts';
import { expectConserved, pouredMl, simulatedMl } from '../support/simulated.ts';

const SHAPES: readonly Shape[] = [
  { kind: 'box', lengthMm: 160, widthMm: 110, heightMm: 60 },
  ...OTHER_SHAPES,
];

const PLACES: readonly Place[] = [
  { at: 'column' },
  { at: 'corner', corner: 'right-far' },
  { at: 'line', runs: 'lengthwise', offMm: 8 },
  { at: 'wall', wall: 'near' },
  { at: 'two-walls', walls: 'long', firstPercent: 50 },
  { at: 'two-walls', walls: 'long', firstPercent: 30 },
  {
    at: 'drops',
    spots: [
      { xMm: -15, yMm: -30 },
      { xMm: 12, yMm: 25 },
      { xMm: 0, yMm: 0 },
    ],
  },
  { at: 'drops', spots: [{ xMm: 5, yMm: 10 }], reachMm: 25 },
];

const mouldOf = (shape: Shape): Plan['mould'] => ({ ...boxPlan([]).mould, shape });

const firstOf = (plan: Plan): LaidMould => layPlan(plan).moulds[0];

/** Three pots poured in rounds in a place, in a mould of a shape; with `base` a set slope lies under it. */
function patterned(shape: Shape, place: Place, rounds: readonly number[], base: boolean): Plan {
  const pots = ['p1', 'p2', 'p3'].map((id, i) => ({
    id,
    letter: 'ABC'.charAt(i),
    name: id,
    colour: ['#ece4d2', '#5f6c78', '#b5663a'][i]!,
    stage: 1 + 0.4 * i,
    colorants: [],
  }));
  const empty = boxPlan([], { mould: mouldOf(shape), pots });
  // more than any column's hole takes
  const top = [{ pot: 'p2', massG: 90 }];
  const filled: Plan = { ...empty, fill: { ...empty.fill, top, to: { kind: 'headspace', headspaceMm: 6 } } };
  const under: Plan = base
    ? {
        ...filled,
        steps: [
          { id: 't1', kind: 'tilt', rollDeg: 7, pitchDeg: 0 },
          pour('b1', 'p1', { kind: 'percent', percent: 25 }),
          { id: 'w1', kind: 'wait', until: { kind: 'minutes', minutes: 20 } },
          { id: 't2', kind: 'tilt', rollDeg: 0, pitchDeg: 0 },
        ],
      }
    : filled;
  const { plan } = addPattern(under, place);
  return {
    ...plan,
    steps: plan.steps.map((s) =>
      s.kind === 'pour' && s.pattern
        ? { ...s, pattern: { ...s.pattern, then: ['p2', 'p3'], rounds: [...rounds] } }
        : s,
    ),
  };
}

describe('patterns: what the pictures show is what was poured', () => {
  for (const shape of SHAPES)
    for (const base of shape.kind === 'box' || shape.kind === 'half-round' ? [false, true] : [false])
      it(`in a ${shape.kind}${base ? ' over a set slope' : ''}, whatever the place`, () => {
        for (const place of PLACES) {
          const plan = patterned(shape, place, [2, 1, 1], base);
          // half of a percent of all that is poured, and as much again for the sampling of thin bands
          expectConserved(firstOf(plan), 0.01, JSON.stringify(place));
        }
      });

  it('in random designs of several pours, strokes among them', () => {
    const random = seeded(20261126);
    const any = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)]!;
    for (let n = 0; n < 10; n += 1) {
      const shape = any(SHAPES.slice(0, 3));
      let plan = patterned(shape, any(PLACES), [1, 1], random() < 0.4);
      plan = addPattern(plan, any(PLACES.slice(1))).plan;
      if (random() < 0.6) plan = addStroke(plan, any(['fan', 'spiral', 'lines', 'rings'] as const), 300).plan;
      expectConserved(firstOf(addPull(plan)), 0.012, `design ${n}`);
    }
  });

  it('in every demo plan', () => {
    for (const demo of demoPlans()) {
      // a line between layers is drawn thicker than it is, over what lies there
      const plan = { ...demo, steps: demo.steps.filter((s) => s.kind !== 'mica') };
      const laid = firstOf(plan);
      const shown = simulatedMl(laid, readyFrom(noneReady()), 80, 160);
      const all = laid.stack.filledMl;
      for (const [key, ml] of pouredMl(laid))
        expect(Math.abs((shown.get(key) ?? 0) - ml) / all, `${plan.name} ${key}`).to.be.below(0.006);
    }
  });

  it('and a column’s hole is filled in the order that is held back, what is short of it runs in', () => {
    const plan = patterned(SHAPES[0]!, { at: 'column' }, [1, 1], false);
    const hole = holeVolumeMl(firstOf(plan).stack.layers);
    expect(hole).to.be.above(10);
    const held = (massG: number): LaidMould =>
      firstOf(
        addPull({
          ...plan,
          fill: {
            ...plan.fill,
            top: [
              { pot: 'p3', massG: massG / 2 },
              { pot: 'p1', massG: massG / 2 },
            ],
          },
        }),
      );
    const inHole = (laid: LaidMould): readonly number[] => {
      const shown = simulatedMl(laid, readyFrom(noneReady()), 200, 100);
      return ['pot p3', 'pot p1'].map((key) => shown.get(key) ?? 0);
    };
    const full = inHole(held(hole * 1.5));
    expect(full[0]! + full[1]!).to.be.closeTo(hole, 0.03 * hole);
    expect(full[0]).to.be.above(full[1]!);
    const short = inHole(held(hole * 0.5));
    expect(short[0]! + short[1]!).to.be.closeTo(hole * 0.5, 0.06 * hole);
  });
});

describe('patterns: how they look', () => {
  const ready = readyFrom(noneReady());
  const box = SHAPES[0]!;

  it('alike on both sides where the design is', () => {
    for (const place of [PLACES[0]!, { at: 'line', runs: 'lengthwise', offMm: 0 } as const, PLACES[4]!]) {
      const laid = firstOf(patterned(box, place, [1, 2, 1], false));
      for (const face of [topFace(laid), planAt(laid, 20), sectionAt(laid, 80), sectionAt(laid, 20)]) {
        const { band } = rasterise(face, 160, 160, ready, 1);
        const differ = band.filter((n, i) => band[Math.floor(i / 160) * 160 + 159 - (i % 160)] !== n);
        expect(differ.length / band.length, place.at).to.be.below(0.02);
      }
    }
  });

  it('a wall pour that only lies on top is layers: as the exact bodies have them', () => {
    const layered = boxPlan([rest(1), rest(2), rest(1)]);
    const moved: Plan = {
      ...layered,
      // a stick that hardly dips in makes one block of them
      steps: [
        ...layered.steps,
        {
          id: 'k1',
          kind: 'stroke',
          path: { kind: 'lines', runs: 'lengthwise', spacingMm: 60, turns: false },
          end: 'thin',
          depthMm: 0.5,
        },
      ],
    };
    const [exact, simulated] = [firstOf(layered), firstOf(moved)];
    const a = rasterise(sectionAt(exact, 50), 120, 90, ready, 1);
    const b = rasterise(sectionAt(simulated, 50), 120, 90, ready, 1);
    const keyOf = ({ pours, band }: typeof a, i: number): string => pours[band[i]! - 1] ?? '';
    let differ = 0;
    for (let i = 0; i < a.band.length; i += 1) if (keyOf(a, i) !== keyOf(b, i)) differ += 1;
    // but for the last few mm, where the stick's width fades out
    expect(differ / a.band.length).to.be.below(0.08);
  });

  it('rings on the top round a column, a plain floor, and stripes at the walls', () => {
    const laid = firstOf(patterned(box, { at: 'column' }, [1, 1, 1], false));
    const changes = (
      from: readonly [number, number],
      to: readonly [number, number],
      face = topFace(laid),
    ): number => {
      const { band } = rasterise(face, 200, 200, ready, 1);
      const scale = Math.min(200 / (face.right - face.left), 200 / (face.head - face.foot));
      const at = ([h, z]: readonly [number, number]): number => {
        const x = Math.floor(100 + (h - (face.left + face.right) / 2) * scale);
        const y = Math.floor(100 - (z - (face.foot + face.head) / 2) * scale);
        return band[y * 200 + x]!;
      };
      let n = 0;
      for (let t = 0; t < 400; t += 1) {
        const place = (u: number): readonly [number, number] => [
          from[0] + (to[0] - from[0]) * u,
          from[1] + (to[1] - from[1]) * u,
        ];
        if (at(place(t / 400)) !== at(place((t + 1) / 400))) n += 1;
      }
      return n;
    };
    // outward from the column through all rounds
    expect(changes([0, 14], [0, 79])).to.be.at.least(6);
    // along the floor near a corner it is one colour
    expect(changes([-50, -76], [50, -76], planAt(laid, 0.3))).to.be.below(2);
    // up the middle of a long wall
    expect(changes([-54.5, 0.5], [-54.5, 53], sectionAt(laid, 80))).to.be.at.least(2);
  });
});

describe('patterns: what is weighed', () => {
  it('rounds add up to every pot, to the scale’s step, whatever they are', () => {
    const random = seeded(11);
    for (let n = 0; n < 300; n += 1) {
      const rounds = Array.from({ length: 1 + Math.floor(random() * 12) }, () => 0.1 + random());
      const order = Array.from(
        { length: 1 + Math.floor(random() * 7) },
        () => `p${1 + Math.floor(random() * 4)}`,
      );
      const [pot = 'p1', ...then] = order;
      const one = { ...pour('s1', pot, rest()), pattern: { place: { at: 'column' } as const, then, rounds } };
      const step = [1, 0.1, 5][n % 3]!;
      const masses = new Map(
        ['p1', 'p2', 'p3', 'p4'].map((p) => [p, Math.round((random() * 900) / step) * step]),
      );
      const turns = roundsOf(one, (p) => masses.get(p) ?? 0, step).flat();
      for (const p of new Set(order)) {
        const own = turns.filter((t) => t.pot === p);
        expect(own.reduce((s, t) => s + t.massG, 0)).to.be.closeTo(masses.get(p)!, 1e-6);
        expect(own.at(-1)!.pouredG).to.be.closeTo(masses.get(p)!, 1e-6);
        for (const t of own) {
          expect(t.massG).to.be.at.least(-1e-9);
          expect(Math.abs(t.massG / step - Math.round(t.massG / step))).to.be.below(1e-6);
        }
      }
    }
  });

  it('the sheet of Basalt Columns: jugs run empty as the rounds end, the hole takes what is held back', () => {
    const computed = computePlan(demoPlans().find((p) => p.name === 'Basalt Columns')!);
    const sheet = sheetJson(computed) as {
      steps: { kind: string; mass_g?: number; rounds?: { pot: string; mass_g: number }[][] }[];
      pots: { id: string; mass_g: number; held_back_g: number; overage_g: number }[];
      procedure: { does: string; text: string; lines?: { mass_g: number }[] }[];
    };
    const [step] = sheet.steps;
    expect(step!.rounds!.length).to.equal(5);
    for (const pot of sheet.pots) {
      const poured = step!
        .rounds!.flat()
        .filter((t) => t.pot === pot.id)
        .reduce((s, t) => s + t.mass_g, 0);
      expect(poured + pot.held_back_g + pot.overage_g, pot.id).to.be.closeTo(pot.mass_g, 1e-6);
    }
    expect(step!.rounds!.flat().reduce((s, t) => s + t.mass_g, 0)).to.be.closeTo(step!.mass_g!, 1e-6);
    const pull = sheet.procedure.find((a) => a.does === 'pull-columns')!;
    expect(pull.text).to.match(/Pull the column straight up and fill its hole at once with \d+ g/);
    const hole = holeVolumeMl(computed.stack.layers) * computed.stack.layers[0]!.densityGMl;
    expect(pull.lines!.reduce((s, l) => s + l.mass_g, 0)).to.be.closeTo(hole, 1);
  });

  it('the sheet of every demo plan: each block’s pictures hold what was poured to half of a percent', () => {
    let blocks = 0;
    for (const plan of demoPlans()) {
      const sheet = sheetJson(computePlan(plan)) as {
        blocks?: {
          volume_ml: number;
          volume_error_percent: number;
          deposits: {
            poured_ml?: number;
            stays_ml?: number;
            simulated_ml: number;
            simulated_share_percent: number;
          }[];
        }[];
      };
      for (const block of sheet.blocks ?? []) {
        blocks += 1;
        expect(block.volume_error_percent, plan.name).to.be.below(0.5);
        // a colour of which there is more than a twentieth, by itself
        for (const { poured_ml, stays_ml, simulated_ml } of block.deposits) {
          const inIt = poured_ml ?? stays_ml!;
          if (inIt > block.volume_ml / 20) expect(simulated_ml / inIt, plan.name).to.be.closeTo(1, 0.01);
        }
        expect(block.deposits.reduce((s, d) => s + d.simulated_share_percent, 0)).to.be.closeTo(100, 1e-6);
      }
    }
    expect(blocks).to.equal(6);
  });

  it('says with the number what is wrong: no column, too deep, outside, rounds too small, too thick', () => {
    const codes = (plan: Plan): readonly string[] => computePlan(plan).warnings.map((w) => w.code);
    const plan = patterned(SHAPES[0]!, { at: 'column' }, [1, 1], false);
    expect(codes({ ...plan, mould: mouldOf(SHAPES[0]!) })).to.include('no-column');
    const empty = { ...plan, fill: { ...plan.fill, top: [] } };
    expect(codes(empty)).to.include.members(['column-stays', 'column-hole', 'too-thick-to-spread']);
    expect(codes(addStroke(plan, 'fan', 90).plan)).to.include('stroke-deep');
    const out = patterned(SHAPES[0]!, { at: 'drops', spots: [{ xMm: 80, yMm: 0 }] }, [1], false);
    expect(codes(out)).to.include('drop-outside');
    const many = patterned(
      SHAPES[0]!,
      { at: 'wall', wall: 'left' },
      Array.from({ length: 60 }, (_, i) => (i === 0 ? 1000 : 1)),
      false,
    );
    const small = computePlan(many).warnings.find((w) => w.code === 'round-too-small');
    expect(small?.message).to.match(/a pot's turn is 0\.\d+ g: less than the 1 g/);
  });
});
