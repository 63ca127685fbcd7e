import { expect } from 'chai';
import fc from 'fast-check';
import { scaleOilsTo100, switchWaterSchool } from '../../src/core/edit/batter.ts';
import { evenAll, evenFrom } from '../../src/core/edit/even.ts';
import { canMoveLine, moveLine, toggleLock } from '../../src/core/edit/line.ts';
import { addPot, holdBack, removePot, setPotShare, setTopAllowance } from '../../src/core/edit/pots.ts';
import { addPour, duplicatePour, moveStep, removeStep, shiftPour } from '../../src/core/edit/pours.ts';
import { volumeAtLine } from '../../src/core/fill/lineVolume.ts';
import { readPlanValue } from '../../src/core/exchange/planValue.ts';
import type { Plan } from '../../src/core/plan/planSchema.ts';
import { computePlan } from '../../src/core/computed/compute.ts';
import { percentSum } from '../../src/core/batter/usedOils.ts';
import { basePlan, boxPlan, rest, taperedPlan } from '../support/plans.ts';

const rises = (plan: Plan): number[] =>
  computePlan(plan).stack.layers.map((l) => Number(l.riseMm.toFixed(6)));
const volumes = (plan: Plan): number[] => computePlan(plan).stack.layers.map((l) => l.volumeMl);

/** Drag the line on top of pour `index` to a height, as the section does. */
const drag = (plan: Plan, index: number, toMm: number): Plan => {
  const { stack, fill } = computePlan(plan);
  const layer = stack.layers[index]!;
  return moveLine(plan, {
    layers: stack.layers,
    index,
    byMm: toMm - layer.offset,
    byMl: volumeAtLine(stack.layers, index, toMm) - layer.volumeMl,
    fillMl: fill.volumeMl,
  });
};

describe('evening layers', () => {
  it('makes all equally thick, in a box and in a tapered mould', () => {
    expect(rises(evenAll(boxPlan([rest(5), rest(1), { kind: 'height', heightMm: 7 }])))).to.deep.equal([
      20, 20, 20,
    ]);
    for (const rise of rises(evenAll(taperedPlan([rest(3), rest(1), rest(1), rest(2)]))))
      expect(rise).to.be.closeTo(17.5, 1e-5);
  });

  it('leaves a locked layer alone and shares the rest', () => {
    const plan = boxPlan([rest(), { kind: 'height', heightMm: 10 }, rest()]);
    const locked = {
      ...plan,
      steps: plan.steps.map((s) => (s.kind === 'pour' && s.id === 's2' ? { ...s, locked: true } : s)),
    };
    expect(rises(evenAll(locked))).to.deep.equal([25, 10, 25]);
  });

  it('evens from a layer up and keeps what is under it', () => {
    const plan = boxPlan([rest(3), rest(1), rest(2)]);
    expect(rises(evenFrom(plan, 's2'))).to.deep.equal([30, 15, 15]);
  });

  it('changes nothing when there is no room', () => {
    const plan = boxPlan([{ kind: 'height', heightMm: 60 }, rest()]);
    const locked = { ...plan, steps: plan.steps.map((s) => ({ ...s, locked: s.id === 's1' })) } as Plan;
    expect(evenAll(locked)).to.equal(locked);
  });
});

describe('dragging a line', () => {
  it('moves only that line: what one layer gains its neighbour gives', () => {
    const plan = boxPlan([rest(), rest(), rest()]);
    expect(rises(drag(plan, 0, 26))).to.deep.equal([26, 14, 20]);
  });

  it('keeps the kind of amount of each pour and the volume of every other', () => {
    fc.assert(
      fc.property(fc.double({ min: 2, max: 33, noNaN: true }), (to) => {
        const plan = taperedPlan([
          { kind: 'mass', massG: 200 },
          { kind: 'height', heightMm: 20 },
          { kind: 'percent', percent: 25 },
          rest(),
        ]);
        const before = volumes(plan);
        const dragged = drag(plan, 0, to);
        expect(dragged.steps.map((s) => (s.kind === 'pour' ? s.amount.kind : s.kind))).to.deep.equal([
          'mass',
          'height',
          'percent',
          'rest',
        ]);
        const after = volumes(dragged);
        expect(after[0]! + after[1]!).to.be.closeTo(before[0]! + before[1]!, 1e-6);
        expect(after[2]).to.be.closeTo(before[2]!, 1e-6);
        expect(after[3]).to.be.closeTo(before[3]!, 1e-6);
      }),
      { seed: 4, numRuns: 100 },
    );
  });

  it('never makes a layer thinner than a millilitre', () => {
    const after = volumes(drag(boxPlan([rest(), rest()]), 0, 200));
    expect(after[1]).to.be.closeTo(1, 1e-9);
    expect(readPlanValue(drag(boxPlan([rest(), rest()]), 0, -50)).ok).to.equal(true);
  });

  it('passes over a locked neighbour, and cannot move a locked layer', () => {
    const plan = boxPlan([rest(), rest(), rest()]);
    const { stack } = computePlan(plan);
    const locked = toggleLock(plan, stack.layers[1]!);
    expect(rises(drag(locked, 0, 25))).to.deep.equal([25, 20, 15]);
    const layers = computePlan(locked).stack.layers;
    expect([0, 1, 2].map((i) => canMoveLine(layers, i))).to.deep.equal([true, false, false]);
    expect(drag(locked, 1, 50)).to.equal(locked);
  });
});

describe('pours and pots', () => {
  it('adds on top, duplicates, reorders and removes, and each step gives a whole plan', () => {
    let plan = boxPlan([rest(), rest()]);
    const added = addPour(plan, 'p1');
    plan = added.plan;
    const copy = duplicatePour(plan, 's1');
    plan = copy.plan;
    expect(plan.steps.map((s) => s.id)).to.deep.equal(['s1', copy.stepId, 's2', added.stepId]);
    expect(moveStep(plan, added.stepId, 's1').steps[0]!.id).to.equal(added.stepId);
    expect(shiftPour(plan, 's1', 1).steps.map((s) => s.id)[1]).to.equal('s1');
    expect(shiftPour(plan, 's1', -1)).to.equal(plan);
    expect(removeStep(plan, 's2').steps).to.have.length(3);
    expect(readPlanValue(plan).ok).to.equal(true);
  });

  it('shifts past waits to change places with the next pour', () => {
    const plan = boxPlan([rest(), rest()]);
    const waiting: Plan = {
      ...plan,
      steps: [
        plan.steps[0]!,
        { id: 'w1', kind: 'wait', until: { kind: 'minutes', minutes: 3 } },
        plan.steps[1]!,
      ],
    };
    const shifted = shiftPour(waiting, 's1', 1).steps.filter((s) => s.kind === 'pour');
    expect(shifted.map((s) => s.id)).to.deep.equal(['s2', 's1']);
  });

  it('gives new pots the next free letter and a colour not in use', () => {
    let plan = basePlan();
    for (let i = 0; i < 20; i += 1) plan = addPot(plan).plan;
    expect(new Set(plan.pots.map((p) => p.letter)).size).to.equal(22);
    expect(readPlanValue(plan).ok).to.equal(true);
  });

  it('does not remove a pot that is poured', () => {
    const plan = boxPlan([rest(), rest()]);
    expect(removePot(plan, 'p1')).to.equal(plan);
  });

  it('holds back by pot, and scales what is held when the whole allowance is set', () => {
    let plan = holdBack(holdBack(basePlan(), 'p1', 30), 'p2', 10);
    plan = setTopAllowance(plan, 80);
    expect(plan.fill.top).to.deep.equal([
      { pot: 'p1', massG: 60 },
      { pot: 'p2', massG: 20 },
    ]);
    expect(setTopAllowance(plan, 0).fill.top).to.deep.equal([]);
    expect(setTopAllowance(basePlan(), 40).fill.top).to.deep.equal([{ pot: 'p1', massG: 40 }]);
  });

  it('sets a pot’s share through its pours, in their proportion', () => {
    const plan = boxPlan([rest(1), rest(4), rest(3)]);
    const shared = setPotShare(plan, 'p1', 60);
    expect(shared.ok).to.equal(true);
    if (!shared.ok) return;
    const after = computePlan(shared.value).stack.layers;
    expect(after[0]!.sharePercent + after[2]!.sharePercent).to.be.closeTo(60, 1e-9);
    expect(after[2]!.sharePercent / after[0]!.sharePercent).to.be.closeTo(3, 1e-9);
    expect(setPotShare(plan, 'p1', 140).ok).to.equal(false);
  });
});

describe('the recipe', () => {
  it('scales to 100 % and keeps the proportions', () => {
    const plan = basePlan();
    const short = {
      ...plan,
      batter: { ...plan.batter, oils: plan.batter.oils.map((o) => ({ ...o, percent: o.percent * 0.83 })) },
    };
    const scaled = scaleOilsTo100(short);
    expect(percentSum(scaled.batter)).to.be.closeTo(100, 1e-9);
    expect(scaled.batter.oils[0]!.percent).to.be.closeTo(45, 0.02);
  });

  it('says the same water in another school', () => {
    const plan = basePlan();
    const before = computePlan(plan).recipe!.water;
    for (const school of ['percent-of-oils', 'water-to-lye', 'lye-concentration'] as const)
      expect(computePlan(switchWaterSchool(plan, school)).recipe!.water).to.be.closeTo(
        before,
        before * 0.003,
      );
  });
});
