import { expect } from 'chai';
import fc from 'fast-check';
import { evenAll } from '../../src/core/edit/even.ts';
import { inMould } from '../../src/core/edit/inMould.ts';
import { takeMould } from '../../src/core/edit/mould.ts';
import {
  addMould,
  asFirst,
  ownDesign,
  removeMould,
  setCopies,
  sizeBatch,
  takesRest,
} from '../../src/core/edit/moulds.ts';
import { addPour, duplicatePour, moveStep, removeStep, setAmount } from '../../src/core/edit/pours.ts';
import { setTilt } from '../../src/core/edit/tilt.ts';
import { readPlanValue } from '../../src/core/exchange/planValue.ts';
import { layPlan } from '../../src/core/fill/layPlan.ts';
import { STARTER_MOULDS } from '../../src/core/mould/starterMoulds.ts';
import { pourNames } from '../../src/core/plan/deposits.ts';
import { FIRST, mouldOfStep, stepsIn } from '../../src/core/plan/moulds.ts';
import type { Plan } from '../../src/core/plan/planSchema.ts';
import { computePlan } from '../../src/core/computed/compute.ts';
import { procedureOf } from '../../src/core/procedure/procedureOf.ts';
import { anyPlan } from '../support/anyPlan.ts';
import { basePlan, boxPlan, rest } from '../support/plans.ts';
import { printed } from '../support/printed.ts';
import { follow } from '../support/recount.ts';

const starter = (name: string) => STARTER_MOULDS.find((m) => m.name.startsWith(name))!;
const CAVITY = starter('Round cavity');

const box = (lengthMm: number, widthMm: number, heightMm: number): Plan['mould'] => ({
  ...boxPlan([]).mould,
  name: `Box of ${lengthMm}`,
  shape: { kind: 'box', lengthMm, widthMm, heightMm },
});

/** The box of 100 x 80 x 60 mm with two layers, one to three, and a flat box beside it. */
const two = (change: Partial<Plan> = {}, copies = 1): Plan =>
  setCopies(addMould(boxPlan([rest(1), rest(3)], change), box(200, 100, 30)).plan, 'm1', copies);

const codes = (plan: Plan): string[] => computePlan(plan).warnings.map((w) => w.code);
const find = (plan: Plan, code: string) => computePlan(plan).warnings.find((w) => w.code === code)!;
const plain = (edited: ReturnType<ReturnType<typeof inMould>>): Plan => {
  if ('ok' in edited) throw new Error('refused');
  return edited;
};

describe('several moulds from one batch', () => {
  it('one follows the first: every layer with the same share of it, by hand', () => {
    // to the rim: 480 ml, and 3 mm under it as a flat mould is (a tenth): 540 ml
    const plan = two({ fill: { ...boxPlan([]).fill, to: { kind: 'headspace', headspaceMm: 5 } } });
    const [loaf, flat] = layPlan(plan).moulds;
    expect(loaf.fill.volumeMl).to.be.closeTo(440, 1e-6);
    expect(flat!.fill.volumeMl).to.be.closeTo(200 * 100 * 27 * 1e-3, 1e-6);
    expect(flat!.stack.layers.map((l) => l.volumeMl / 540)).to.deep.equal([0.25, 0.75]);
    expect(flat!.stack.layers[0]!.leftMm).to.be.closeTo(27 / 4, 1e-9);
  });

  it('the batch is as large as all of them take, and each pour says what goes where', () => {
    const plan = two({}, 3);
    const alone = printed(boxPlan([rest(1), rest(3)]));
    const sheet = printed(plan);
    // 600 ml to the rim of each flat box: 0 mm headspace, as the first has
    const density = computePlan(plan).densityGMl;
    expect(sheet.batter.mass_g - alone.batter.mass_g).to.be.closeTo(3 * 600 * density, 7);
    const pours = procedureOf(computePlan(plan)).filter((t) => t.id.startsWith('pour:'));
    expect(pours).to.have.length(2);
    for (const { lines, running } of pours) {
      expect(lines.map((l) => [l.to.key, l.times])).to.deep.equal([
        ['mould', 1],
        ['mould:m1', 3],
      ]);
      expect(running!.map((r) => r.name)).to.deep.equal(['Test box', 'Box of 200']);
    }
    for (const r of pours.at(-1)!.running!) expect(r.inMouldG).to.equal(r.ofG);
  });

  it('shares stay the same in any mould at any tilt that does not spill', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...STARTER_MOULDS),
        fc.array(fc.integer({ min: 1, max: 9 }), { minLength: 2, maxLength: 6 }),
        fc.integer({ min: -10, max: 10 }),
        (mould, parts, degrees) => {
          const level = boxPlan(parts.map((p) => rest(p)));
          const tilted = setTilt(level, 's1', { rollDeg: degrees, pitchDeg: 0 });
          const { moulds } = layPlan(addMould(tilted, mould).plan);
          const [first, other] = moulds;
          if (first.stack.fault || other!.stack.fault) return;
          first.stack.layers.forEach((l, i) => {
            const here = other!.stack.layers[i]!;
            expect(here.volumeMl / other!.stack.filledMl).to.be.closeTo(
              l.volumeMl / first.stack.filledMl,
              1e-6,
            );
          });
        },
      ),
      { seed: 5, numRuns: 60 },
    );
  });

  it('a batch of given size: one takes what the others leave', () => {
    const upTo = { kind: 'headspace', headspaceMm: 0 } as const;
    const sized = sizeBatch(two(), { kind: 'batter', massG: 900 }, upTo);
    // nobody takes it: what is wanted is 480 + 600 ml, more than 900 g
    expect(codes(sized)).to.include('batch-short');
    const [, density] = [0, computePlan(sized).densityGMl];
    const second = takesRest(sized, 'm1', upTo);
    const [loaf, flat] = layPlan(second).moulds;
    expect(loaf.fill.volumeMl).to.be.closeTo(480, 1e-6);
    expect(flat!.fill.volumeMl).to.be.closeTo(900 / density - 480, 1e-4);
    const first = takesRest(second, FIRST, upTo);
    const [rested] = layPlan(takesRest(first, FIRST, upTo)).moulds;
    // the flat one goes back to 5 mm under its rim: 500 ml
    expect(rested.fill.volumeMl).to.be.closeTo(900 / density - 500, 1e-4);
    for (const plan of [second, first]) {
      expect(readPlanValue(plan).ok).to.equal(true);
      expect(printed(plan).batter.mass_g).to.equal(900);
    }
  });

  it('too little for the second is refused with the number, and one press cures it', () => {
    const sized = sizeBatch(two(), { kind: 'batter', massG: 470 }, { kind: 'headspace', headspaceMm: 0 });
    const { message, level } = find(
      takesRest(sized, 'm1', { kind: 'headspace', headspaceMm: 0 }),
      'nothing-to-fill',
    );
    expect(level).to.equal('refuse');
    expect(message).to.match(/The other moulds take 4[89]\d g of the batch of 470 g/);
    const short = find(sized, 'batch-short');
    expect(short.level).to.equal('refuse');
    const takes = Number(/the moulds take ([\d\s]+) g/.exec(short.message)![1]!.replaceAll(/\s/g, ''));
    expect(takes).to.be.closeTo(1080 * computePlan(sized).densityGMl, 2);
    const cured = short.remedies![0]!.apply(sized);
    expect(codes(cured)).to.not.include('batch-short');
    expect(computePlan(cured).weights).to.not.equal(undefined);
  });

  it('what is over is told, with one more of what it fills', () => {
    const loaf = boxPlan([rest(), rest()]);
    const six = setCopies(addMould(loaf, CAVITY).plan, 'm1', 6);
    const wanted = computePlan(six).batch!.batterG;
    const each = layPlan(six).moulds[1]!.stack.layers.reduce((s, l) => s + l.plannedG, 0);
    const plan = sizeBatch(
      six,
      { kind: 'batter', massG: Math.ceil(wanted + each + 10) },
      { kind: 'headspace', headspaceMm: 0 },
    );
    const over = find(plan, 'batter-spare');
    expect(over.message).to.match(/1\d\d g of the batch goes into no pour: one more Round cavity, 3 in/);
    const seven = over.remedies![0]!.apply(plan);
    expect(seven.others[0]!.copies).to.equal(7);
    expect(codes(seven)).to.not.include('batter-spare');
  });

  it('in all: grams, bars and what each bar weighs add up', () => {
    const plan = setCopies(
      addMould({ ...basePlan(), fill: { ...basePlan().fill, top: [{ pot: 'p1', massG: 90 }] } }, CAVITY).plan,
      'm1',
      6,
    );
    const computed = computePlan(plan);
    const [loaf, cavity] = computed.moulds;
    expect(cavity!.cut.count).to.equal(1);
    const bar = cavity!.cut.bars[0]!.massG;
    const poured = cavity!.stack.layers.reduce((s, l) => s + l.volumeMl * l.densityGMl, 0);
    // its own batter, and its part of the top: by open surface
    const open = Math.PI * 38.1 ** 2;
    const all = loaf.geometry.rooms[0].openingMm2 + 6 * open;
    expect(bar).to.be.closeTo(poured + (90 * open) / all, 0.01);
    const sheet = printed(plan) as unknown as { cut: { bars_in_all: number }; moulds: { bars: number }[] };
    expect(sheet.cut.bars_in_all).to.equal(loaf.cut.count + 6);
    expect(sheet.moulds.map((m) => m.bars)).to.deep.equal([loaf.cut.count, 1]);
  });

  it('everything of any plan goes into the moulds it is for, copies and top with it', () => {
    let followed = 0;
    fc.assert(
      fc.property(anyPlan, (plan) => {
        const computed = computePlan(plan);
        if (!computed.weights) return;
        followed += 1;
        const recount = follow(printed(plan).procedure, plan);
        const held = [...recount.vessels]
          // a layer that was scraped stays where it is
          .filter(([name]) => /^(mould|layer)/.test(name))
          .reduce((s, [, v]) => s + [...v.values()].reduce((a, b) => a + b, 0), 0);
        const each = computed.moulds.reduce(
          (s, m) => s + m.use.copies * m.stack.layers.reduce((t, l) => t + l.pouredG, 0),
          0,
        );
        const top = computed.weights.pots.reduce((s, p) => s + p.heldBackG, 0);
        expect(held).to.be.at.most(each + top + 0.01);
        expect(held).to.be.at.least((each + top) * 0.99 - 2);
      }),
      { seed: 3, numRuns: 80 },
    );
    expect(followed).to.be.above(40);
  });
});

describe('a design of its own', () => {
  it('begins as the first one’s, gram for gram, each pour right after the one it followed', () => {
    const plan = setTilt(two(), 's2', { rollDeg: 4, pitchDeg: 0 });
    const own = ownDesign(plan, 'm1');
    expect(readPlanValue(own).ok).to.equal(true);
    expect(own.steps.map((s) => s.id)).to.deep.equal(plan.steps.flatMap((s) => [s.id, `m1${s.id}`]));
    const massOf = (p: Plan): number[] => layPlan(p).moulds[1]!.stack.layers.map((l) => l.plannedG);
    massOf(own).forEach((g, i) => expect(g).to.be.closeTo(massOf(plan)[i]!, 1e-6));
    expect([...pourNames(own).values()]).to.deep.equal([
      'pour 1 of Test box',
      'pour 1 of Box of 200',
      'pour 2 of Test box',
      'pour 2 of Box of 200',
    ]);
    expect(asFirst(own, 'm1')).to.deep.equal(plan);
    expect(removeMould(own, 'm1').steps).to.deep.equal(plan.steps);
  });

  it('edits of one mould leave the other’s steps as and where they were', () => {
    const action = fc.tuple(
      fc.constantFrom('add', 'copy', 'remove', 'move', 'even', 'tilt', 'mass', 'mould'),
      fc.nat(9),
      fc.nat(9),
    );
    fc.assert(
      fc.property(
        fc.constantFrom(FIRST, 'm1'),
        fc.array(action, { minLength: 1, maxLength: 8 }),
        (here, actions) => {
          const there = here === FIRST ? 'm1' : FIRST;
          let plan = ownDesign(
            addMould(boxPlan([rest(), rest(2), rest(), rest()]), box(200, 100, 30)).plan,
            'm1',
          );
          const others = (p: Plan) => stepsIn(p, there);
          for (const [what, a, b] of actions) {
            const before = others(plan);
            const edit = (p: Plan): Plan => {
              const pours = p.steps.filter((s) => s.kind === 'pour');
              const one = pours[a % Math.max(1, pours.length)]?.id ?? '';
              const other = pours[b % Math.max(1, pours.length)]?.id ?? '';
              if (what === 'add') return addPour(p, 'p1').plan;
              if (what === 'copy') return duplicatePour(p, one).plan;
              if (what === 'remove') return pours.length > 1 ? removeStep(p, one) : p;
              if (what === 'move') return moveStep(p, one, other);
              if (what === 'even') return evenAll(p);
              if (what === 'tilt') return one === '' ? p : setTilt(p, one, { rollDeg: a - 4, pitchDeg: 0 });
              if (what === 'mould') return takeMould(p, STARTER_MOULDS[b % STARTER_MOULDS.length]!);
              return setAmount(p, one, { kind: 'mass', massG: 10 + a });
            };
            const mine = edit({ ...plan, steps: [...stepsIn(plan, here)], others: [] });
            plan = plain(inMould(here, edit)(plan));
            expect(others(plan)).to.deep.equal(before);
            // what the edit made of this mould’s own steps, in its order
            const shape = (steps: readonly Plan['steps'][number][]) => steps.map((s) => s.kind);
            expect(shape(stepsIn(plan, here))).to.deep.equal(shape(mine.steps));
            expect(plan.steps.every((s) => mouldOfStep(s) === FIRST || mouldOfStep(s) === 'm1')).to.equal(
              true,
            );
            const read = readPlanValue(plan);
            expect(read.ok || read.faults).to.equal(true);
          }
        },
      ),
      { seed: 11, numRuns: 200 },
    );
  });

  it('a mould that follows is filled, copied and cut by itself, and its pours are not its own', () => {
    const plan = two();
    const filled = plain(
      inMould('m1', (p) => ({
        ...p,
        fill: { ...p.fill, copies: 4, to: { kind: 'height', heightMm: 12 } },
        cut: { ...p.cut, thicknessMm: 40 },
      }))(plan),
    );
    expect(filled.others[0]).to.deep.include({ copies: 4, to: { kind: 'height', heightMm: 12 } });
    expect(filled.others[0]!.cut.thicknessMm).to.equal(40);
    expect([filled.fill, filled.cut, filled.mould]).to.deep.equal([plan.fill, plan.cut, plan.mould]);
    expect(plain(inMould('m1', evenAll)(plan)).steps).to.equal(plan.steps);
  });

  it('a warning names its mould, and its remedy changes that mould alone', () => {
    const own = ownDesign(two(), 'm1');
    const full = plain(
      inMould('m1', (p) =>
        ['m1s1', 'm1s2'].reduce((q, id) => setAmount(q, id, { kind: 'mass', massG: 100 }), p),
      )(own),
    );
    const short = find(full, 'under-filled');
    expect(short.mould).to.equal('m1');
    expect(short.message).to.match(/^Box of 200: /);
    const cured = short.remedies![0]!.apply(full);
    expect(codes(cured)).to.not.include('under-filled');
    expect(stepsIn(cured, FIRST)).to.deep.equal(stepsIn(full, FIRST));
  });
});

describe('files with several moulds', () => {
  const fault = (plan: Plan) => {
    const read = readPlanValue(plan);
    if (read.ok) throw new Error('it was taken');
    return read.faults[0];
  };

  it('say what is wrong, where', () => {
    const plan = two();
    const [step] = plan.steps;
    expect(fault({ ...plan, steps: [{ ...step!, mould: 'm9' } as Plan['steps'][number]] })).to.include({
      code: 'unknown-mould',
      at: 'steps.0.mould',
    });
    expect(fault({ ...plan, steps: [{ ...step!, mould: 'm1' } as Plan['steps'][number]] }).code).to.equal(
      'mould-follows',
    );
    const left: Plan = { ...plan, others: [{ ...plan.others[0]!, to: { kind: 'left' } }] };
    expect(fault(left)).to.include({ code: 'nothing-left', at: 'others.0.to' });
    const given: Plan = { ...left, fill: { ...left.fill, to: { kind: 'batter', massG: 900 } } };
    expect(fault(given).code).to.equal('left-twice');
    expect(fault({ ...plan, others: [{ ...plan.others[0]!, mould: box(4, 4, 4) }] }).at).to.match(
      /^others\.0/,
    );
  });

  it('a file from before there were several is one with one', () => {
    const { others: _none, ...older } = basePlan();
    const read = readPlanValue(older);
    expect(read.ok && read.plan.others).to.deep.equal([]);
  });
});
