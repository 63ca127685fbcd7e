import { expect } from 'chai';
import { STARTER_COLORANTS } from '../../src/core/colorant/starters.ts';
import { computePlan } from '../../src/core/computed/compute.ts';
import { BEGINNINGS, beginPlan } from '../../src/core/edit/beginnings.ts';
import { evenAll } from '../../src/core/edit/even.ts';
import { setLevelFor, startOmbre } from '../../src/core/edit/ombre.ts';
import { endLevel, setTilt } from '../../src/core/edit/tilt.ts';
import { waitFor, waitOf } from '../../src/core/edit/waits.ts';
import { STARTER_MOULDS } from '../../src/core/mould/starterMoulds.ts';
import { isLevel } from '../../src/core/mould/tilt.ts';
import { poursOfOmbre } from '../../src/core/ombre/runs.ts';
import type { Plan } from '../../src/core/plan/planSchema.ts';
import { boxPlan, rest, WHEN } from '../support/plans.ts';

const HEADSPACE: Partial<Plan> = {
  fill: { to: { kind: 'headspace', headspaceMm: 15 }, copies: 1, overagePercent: 0, top: [] },
};

const layers = evenAll(boxPlan([rest(), rest(), rest(), rest()], HEADSPACE));
const sloping = setTilt(layers, 's1', { rollDeg: 6, pitchDeg: 0 });

const tiltsOf = (plan: Plan): readonly number[] => computePlan(plan).stack.layers.map((l) => l.tilt.rollDeg);

const codesOf = (plan: Plan): readonly string[] => computePlan(plan).warnings.map((w) => w.code);

describe('how a sloping loaf ends', () => {
  it('is said where it ends propped, and one press finishes it level', () => {
    const warning = computePlan(sloping).warnings.find((w) => w.code === 'ends-propped')!;
    expect(warning.message).to.match(/propped by 6°/);
    expect(warning.step).to.equal(sloping.steps.find((s) => s.kind === 'tilt')!.id);
    const level = warning.remedies![0]!.apply(sloping);
    expect(codesOf(level)).to.not.include('ends-propped');
    expect(tiltsOf(level)).to.deep.equal([6, 6, 6, 0]);
  });

  it('is not said where it ends level', () => {
    expect(codesOf(layers)).to.not.include('ends-propped');
  });

  it('is set level while all is fluid where one pour alone slopes', () => {
    const last = setTilt(layers, 's4', { rollDeg: 6, pitchDeg: 0 });
    const level = endLevel(last);
    const tilt = level.steps.at(-1)!;
    expect(tilt).to.include({ kind: 'tilt', rollDeg: 0, fluid: true });
    expect(codesOf(level)).to.not.include('ends-propped');
  });

  it('is said where batter comes within 2 mm of the rim as it stands propped', () => {
    // 80 mm wide at 6 degrees: 4.2 mm higher at the wall than in the middle
    const near = (headspaceMm: number): boolean =>
      codesOf(
        setTilt(
          boxPlan([rest()], {
            fill: { to: { kind: 'headspace', headspaceMm }, copies: 1, overagePercent: 0, top: [] },
          }),
          's1',
          { rollDeg: 6, pitchDeg: 0 },
        ),
      ).includes('near-rim');
    expect([4.4, 6, 6.4].map(near)).to.deep.equal([true, true, false]);
  });

  it('begins without anything to warn of under Design, whatever way slopes', () => {
    for (const { id } of BEGINNINGS.filter((b) => ['slant', 'zigzag', 'ombre-slope'].includes(b.id)))
      for (const mould of STARTER_MOULDS) {
        const plan = beginPlan(id, {
          planId: 'x',
          now: WHEN,
          units: undefined,
          mould,
          layers: 4,
          colours: ['#334455', '#aa6644', '#ddddcc'].map((colour, i) => ({ name: `C${i}`, colour })),
          colorant: STARTER_COLORANTS[0]!,
        });
        const { warnings } = computePlan(plan!);
        expect(
          warnings.filter((w) => w.code === 'slumps').map((w) => w.message),
          `${id} in ${mould.name}`,
        ).to.deep.equal([]);
      }
  });
});

describe('an ombre among layers that slope', () => {
  const colorant = STARTER_COLORANTS[0]!;

  it('goes along their slope', () => {
    for (const goes of ['these-layers', 'above'] as const) {
      const { plan, ombreId } = startOmbre(sloping, goes, colorant);
      const own = new Set(poursOfOmbre(plan, ombreId).map((p) => p.id));
      const tilts = computePlan(plan).stack.layers.filter((l) => own.has(l.pour.id));
      expect(
        tilts.every((l) => l.tilt.rollDeg === 6),
        goes,
      ).to.equal(true);
    }
  });

  it('or the mould is set level for it, and what was poured before it keeps its slope', () => {
    for (const goes of ['these-layers', 'whole-loaf', 'above'] as const) {
      const started = startOmbre(sloping, goes, colorant);
      const plan = setLevelFor(started.plan, started.ombreId);
      const own = new Set(poursOfOmbre(plan, started.ombreId).map((p) => p.id));
      const laid = computePlan(plan).stack.layers;
      expect(
        laid.filter((l) => own.has(l.pour.id)).every((l) => isLevel(l.tilt)),
        goes,
      ).to.equal(true);
      expect(
        laid.filter((l) => !own.has(l.pour.id)).every((l) => l.tilt.rollDeg === 6),
        goes,
      ).to.equal(true);
    }
  });
});

describe('a wait that a pour names', () => {
  it('is the one that stands before it on the line', () => {
    const waits = waitFor(layers, 's3', { kind: 'stage', stage: 2 });
    const at = waits.steps.findIndex((s) => s.kind === 'wait');
    expect(waits.steps[at + 1]!.id).to.equal('s3');
    expect(waitOf(waits, 's3')!.until).to.deep.equal({ kind: 'stage', stage: 2 });
    expect(waitOf(waits, 's2')).to.equal(undefined);
    const longer = waitFor(waits, 's3', { kind: 'minutes', minutes: 7 });
    expect(longer.steps.filter((s) => s.kind === 'wait')).to.have.length(1);
    expect(waitOf(longer, 's3')!.id).to.equal(waitOf(waits, 's3')!.id);
    expect(waitFor(longer, 's3', undefined).steps).to.deep.equal(layers.steps);
  });
});
