import { expect } from 'chai';
import { VESSEL } from '../../src/core/day/vessel.ts';
import { computePlan } from '../../src/core/computed/compute.ts';
import { singleBars } from '../../src/core/cut/singleBars.ts';
import { addMould } from '../../src/core/edit/moulds.ts';
import { FIRST_MAT, fillRidgesFrom, onMat, setMat, settleMats } from '../../src/core/edit/mat.ts';
import { addPot } from '../../src/core/edit/pots.ts';
import { settled } from '../../src/core/edit/settled.ts';
import { addTop } from '../../src/core/edit/tops.ts';
import { setRough } from '../../src/core/edit/pours.ts';
import { sideOfBar } from '../../src/core/face/barFaces.ts';
import { heapedVolumes } from '../../src/core/face/heapedVolumes.ts';
import { levelSheet } from '../../src/core/face/levels.ts';
import { facetsOf, onScreen } from '../../src/core/face/facets.ts';
import { topFace } from '../../src/core/face/loafFaces.ts';
import { noneReady, readyFrom } from '../../src/core/face/ready.ts';
import { rasterise } from '../../src/core/face/raster.ts';
import { layPlan } from '../../src/core/fill/layPlan.ts';
import { ridgesStep, stepsDone } from '../../src/core/fill/ridges.ts';
import { REPEATED_EDGES } from '../../src/core/flow/edge.ts';
import { massOfContents } from '../../src/core/ledger/contents.ts';
import { leftIn } from '../../src/core/ledger/ledger.ts';
import type { Mat } from '../../src/core/mould/schema.ts';
import { STARTER_MOULDS } from '../../src/core/mould/starterMoulds.ts';
import { bodiesOf } from '../../src/core/pattern/blocks.ts';
import { checkPlan } from '../../src/core/plan/checkPlan.ts';
import type { Plan } from '../../src/core/plan/planSchema.ts';
import { ombrePlan } from '../support/colours.ts';
import { boxPlan, rest } from '../support/plans.ts';
import { printed } from '../support/printed.ts';
import { follow, superfatOf, totalOf } from '../support/recount.ts';
import { told } from '../support/told.ts';

/** 100 x 80 x 60 mm. */
const base = boxPlan([rest(), rest(), rest()]);

const matted = (mat: Partial<Mat> = {}, plan: Plan = base): Plan =>
  settled(setMat(plan, { ...FIRST_MAT, ...mat }));

const ridgesOf = (plan: Plan) => computePlan(plan).tops.find((t) => t.step.kind === 'ridges')!;

const codes = (plan: Plan): readonly string[] => computePlan(plan).warnings.map((w) => w.code);

describe('a texture mat', () => {
  it('takes its thickness out of the mould, and its hollows give back what they hold', () => {
    const plan = matted({ thicknessMm: 6 });
    const [bare, laid] = [layPlan(base), layPlan(plan)];
    expect(bare.geometry.heightMm - laid.geometry.heightMm).to.be.closeTo(6, 1e-9);
    expect(bare.geometry.rimVolumeMl - laid.geometry.rimVolumeMl).to.be.closeTo((100 * 80 * 6) / 1000, 1e-6);
    // to the same headspace it takes as much less, but for its hollows
    const { weights } = computePlan(plan);
    const { weights: before } = computePlan(base);
    const density = laid.stack.layers[0]!.densityGMl;
    expect(before!.batterG - weights!.batterG).to.be.closeTo(
      (48 - ridgesOf(plan).volumeMl) * density * (1 + base.fill.overagePercent / 100),
      4,
    );
  });

  it('is filled first out of the jug that is poured first, where no step says out of which', () => {
    const plan = setMat(base, FIRST_MAT);
    const untold: Plan = { ...plan, steps: plan.steps.filter((s) => s.kind !== 'ridges') };
    for (const [first, poured] of [
      ['p2', { ...untold, steps: untold.steps.slice(1) }],
      ['p1', untold],
    ] as const) {
      expect(ridgesStep(poured).pot).to.equal(first);
      expect(stepsDone(poured).map((s) => s.kind)).to.deep.equal([
        'ridges',
        ...poured.steps.map((s) => s.kind),
      ]);
    }
    const late: Plan = {
      ...plan,
      steps: [...untold.steps, { id: 'r9', kind: 'ridges', pot: 'p2' }],
    };
    expect(stepsDone(late).map((s) => s.id)).to.deep.equal(['r9', ...untold.steps.map((s) => s.id)]);
    const nothing: Plan = { ...untold, steps: [], pots: [{ ...untold.pots[0]!, id: 'px' }] };
    expect(ridgesStep(nothing).pot).to.equal('px');
    expect(stepsDone(base)).to.equal(base.steps);
  });

  it('has hollows of known volume: by hand, for each of its shapes', () => {
    // over whole turns: waves, teeth and notches are half full, a round groove is a half ellipse, pi / 4, a
    // ridge what that leaves
    const part = { waves: 0.5, teeth: 0.5, notches: 0.5, grooves: Math.PI / 4, ridges: 1 - Math.PI / 4 };
    for (const shape of REPEATED_EDGES)
      for (const runs of ['lengthwise', 'crosswise'] as const) {
        const plan = matted({ shape, runs, pitchMm: 10, reliefMm: 3 });
        expect(ridgesOf(plan).volumeMl, `${shape} ${runs}`).to.be.closeTo(
          (100 * 80 * 3 * part[shape]) / 1000,
          0.02,
        );
      }
  });

  it('is shown as much as is weighed, in boxes, tapered and round moulds', () => {
    for (const mould of STARTER_MOULDS) {
      if (mould.shape.kind === 'half-round' || mould.shape.kind === 'tube') continue;
      const plan = matted({ pitchMm: 9, shape: 'teeth' }, { ...base, mould });
      const [laid] = layPlan(plan).moulds;
      let shown = 0;
      for (const b of bodiesOf(laid))
        if (b.kind === 'block' && b.block.content.kind === 'heaped')
          for (const ml of heapedVolumes(b.block, b.block.content).values()) shown += ml;
      expect(shown / ridgesOf(plan).volumeMl, mould.name).to.be.closeTo(1, 0.005);
    }
  });

  it('its hollows are filled first, out of the jug that is told, and all of it is in the mould', () => {
    const own = addPot(matted());
    const step = own.plan.steps.find((s) => s.kind === 'ridges')!;
    const plan = fillRidgesFrom(own.plan, step.id, own.potId);
    const { weights } = computePlan(plan);
    const { ledger } = weights!;
    const first = ledger.transfers.findIndex((t) => t.to.key === 'mould');
    expect(ledger.transfers[first]!.act).to.equal(`on-top:${step.id}`);
    expect(ledger.transfers[first]!.from.key).to.equal(`pot:${own.potId}`);
    const pot = weights!.pots.find((p) => p.pot.id === own.potId)!;
    expect(pot.batterG).to.be.closeTo(ridgesOf(plan).massG, 1.6);
    expect(massOfContents(leftIn(ledger, VESSEL.pot(own.potId)))).to.be.below(1.1);
    const acts = told(computePlan(plan));
    const at = acts.findIndex((a) => a.deed.does === 'fill-ridges');
    expect(at).to.be.below(acts.findIndex((a) => a.deed.does === 'pour'));
    expect(acts[at]!.text).to.include('Fill the hollows of the mat');
    expect(acts.find((a) => a.id === 'lay-out:mat')!.text).to.include('What is poured first is the top');
    expect(acts.find((a) => a.id === 'unmould')!.text).to.include('Turn it over');
  });

  it('out of a jug of its own in every way of dividing: lye is put to it before, and none is lye-heavy', () => {
    for (const divide of [
      { kind: 'after-emulsion' },
      { kind: 'before-lye', lye: 'together' },
      { kind: 'before-lye', lye: 'jug-by-jug' },
    ] as const) {
      const plan = onMat({ ...base, divide, units: { ...base.units, scaleStepG: 0.1 } });
      const { procedure } = printed(plan);
      const recount = follow(procedure, plan);
      expect(recount.lowest, JSON.stringify(divide)).to.be.at.least(-1e-6);
      expect(totalOf(recount)).to.be.closeTo(recount.supplied, 1e-6);
      for (const superfat of recount.poured.values()) expect(superfat).to.be.within(4.9, 9);
      expect(superfatOf(recount.vessels.get('mould')!, plan)).to.be.within(4.9, 6);
    }
  });

  it('a jug that fills a column’s hole, or hollows, has its lye weighed once', () => {
    const held = addPot({ ...base, units: { ...base.units, scaleStepG: 0.1 } });
    for (const massG of [5, 200]) {
      const plan: Plan = {
        ...held.plan,
        divide: { kind: 'before-lye', lye: 'jug-by-jug' },
        mould: {
          ...base.mould,
          columns: [{ id: 'c1', form: 'round' as const, acrossMm: 20, xMm: 0, yMm: 0 }],
        },
        fill: { ...base.fill, top: [{ pot: held.potId, massG }] },
        steps: [...base.steps, { id: 'u1', kind: 'pull' }],
      };
      for (const one of [plan, onMat(plan)]) {
        const { procedure } = printed(one);
        const ids = procedure.map((t) => t.id);
        expect(new Set(ids).size, `${massG} g`).to.equal(ids.length);
        const recount = follow(procedure, one);
        expect(recount.lowest).to.be.at.least(-1e-6);
        for (const superfat of recount.poured.values())
          expect(superfat, 'rounded down, never up').to.be.at.least(4.9);
      }
    }
  });

  it('has its step where it has a mat, before anything else, and nowhere else', () => {
    const plan = matted();
    expect(plan.steps.map((s) => s.kind)).to.deep.equal(['ridges', 'pour', 'pour', 'pour']);
    expect(settleMats(plan)).to.equal(plan);
    const [ridges, ...others] = plan.steps;
    expect(settleMats({ ...plan, steps: [...others, ridges!] }).steps[0]).to.deep.equal(ridges);
    expect(settled(setMat(plan, undefined)).steps.map((s) => s.kind)).to.deep.equal(['pour', 'pour', 'pour']);
    // another mould that follows the first, with a mat of its own
    const two = addMould(base, { ...STARTER_MOULDS[0]!, mat: FIRST_MAT }).plan;
    expect(settled(two).steps[0]!.kind).to.equal('ridges');
    const laid = computePlan(settled(two));
    expect(laid.moulds.map((m) => m.tops.length)).to.deep.equal([0, 1]);
    expect(checkPlan(settled(two))).to.deep.equal([]);
  });

  it('without its step it is filled out of the jug that is poured first, and the sheet says so', () => {
    const plan = setMat(base, FIRST_MAT);
    const acts = told(computePlan(plan));
    expect(acts.filter((a) => a.deed.does === 'fill-ridges').map((a) => a.pot)).to.deep.equal([
      plan.steps.flatMap((s) => (s.kind === 'pour' ? [s.pot] : []))[0],
    ]);
  });

  it('bars are drawn as they stand: what was poured first on top, its ridges over it, the last below', () => {
    const plan = matted({ pitchMm: 20, reliefMm: 4, shape: 'notches' });
    const computed = computePlan(plan);
    const [bar] = singleBars(computed);
    const read = (side: 'near' | 'far'): ((x: number, y: number) => string | undefined) => {
      const { band, pours } = rasterise(
        sideOfBar(computed.moulds[0], bar!, side),
        160,
        160,
        readyFrom(noneReady()),
        1,
      );
      return (x, y) => {
        const n = band[Math.round(y) * 160 + Math.round(x)] ?? 0;
        return n > 0 ? pours[n - 1] : undefined;
      };
    };
    for (const side of ['near', 'far'] as const) {
      const at = read(side);
      const column = Array.from({ length: 160 }, (_, y) => at(80, y)).filter((k) => k !== undefined);
      const order = column.filter((k, i) => k !== column[i - 1] && !k.startsWith('pot'));
      expect(order, side).to.deep.equal(['s1', 's2', 's3']);
      const top = Array.from({ length: 160 }, (_, x) =>
        Array.from({ length: 160 }, (_, y) => at(x, y)).find((k) => k !== undefined),
      ).filter((k) => k !== undefined);
      expect(top.filter((k) => k.startsWith('pot')).length / top.length).to.be.within(0.35, 0.65);
    }
  });

  it('its top is what lay on the mat: from above, and turning', () => {
    const plan = matted({ pitchMm: 20, reliefMm: 3 });
    const [laid] = layPlan(plan).moulds;
    const { band, pours } = rasterise(topFace(laid), 120, 120, readyFrom(noneReady()), 1);
    const seen = new Set([...band].flatMap((b) => (b > 0 ? [pours[b - 1]!.split('~')[0]] : [])));
    const pot = ridgesOf(plan).key;
    expect([...seen].every((k) => k === 's1' || k === pot)).to.equal(true);
    const facets = facetsOf(bodiesOf(laid), { azimuth: -38, elevation: 32 }, undefined, laid.fill.heightMm);
    // nothing hides what is nearer: the base is drawn first, the ridges last of all, the nearest of their
    // levels at the end
    expect(facets[0]!.pourId).to.equal('s3');
    expect(facets.at(-1)!.pourId).to.equal('s1');
    const sheets = bodiesOf(laid).flatMap((b) => levelSheet(b) ?? []);
    expect(sheets).to.have.length(1);
    const zs = sheets[0]!.levels.map((l) => l.z);
    expect(zs).to.deep.equal(zs.toSorted((a, b) => b - a));
    expect(Math.min(...zs)).to.be.within(-3, -2.5);
    const { place } = onScreen({ azimuth: -38, elevation: 32 }, laid.fill.heightMm);
    expect(place([0, 0, -3])[1]).to.be.above(place([0, 0, 0])[1]);
    expect(place([10, 0, 0])[0]).to.be.below(place([0, 0, 0])[0]);
    const heights = (id: string): number =>
      Math.max(...facets.filter((f) => f.pourId === id).flatMap((f) => f.points.map((p) => p[1])));
    expect(heights('s1')).to.be.above(heights('s3'));
  });

  it('every bar has as much of its ridges, and bars weigh by it', () => {
    const plan = matted();
    const { cut, tops } = computePlan(plan);
    const [ridges] = tops;
    const { thicknessMm } = plan.cut;
    for (const bar of cut.bars) expect(bar.onTopG).to.be.closeTo((ridges!.massG * thicknessMm) / 100, 1e-6);
  });
});

describe('what is said of a mat', () => {
  const remedied = (plan: Plan, code: string): Plan =>
    computePlan(plan)
      .warnings.find((w) => w.code === code)!
      .remedies![0]!.apply(plan);

  it('batter too thick for its hollows, and an ombre’s jug that is empty by then', () => {
    const thick: Plan = { ...matted(), pots: base.pots.map((p) => ({ ...p, stage: 3 })) };
    expect(codes(thick)).to.include('ridges-thick');
    expect(codes(remedied(thick, 'ridges-thick'))).to.not.include('ridges-thick');
    const graded = addPot(settled(setMat(ombrePlan(4), FIRST_MAT))).plan;
    const said = computePlan(graded).warnings.find((w) => w.code === 'ridges-of-ombre');
    expect(said!.level).to.equal('refuse');
    expect(codes(remedied(graded, 'ridges-of-ombre'))).to.not.include('ridges-of-ombre');
  });

  it('what is put on a base, or leaves it rough', () => {
    const topped = addTop(matted(), 'salt').plan;
    expect(codes(topped)).to.include('top-on-base');
    expect(codes(remedied(topped, 'top-on-base'))).to.not.include('top-on-base');
    expect(codes(setRough(matted(), 's3', 6))).to.include('base-rough');
  });

  it('a relief deeper than the mat, a mat as high as its mould, and a round floor are refused with their number', () => {
    const faults = (plan: Plan) => checkPlan(plan).map((f) => `${f.code} ${f.at ?? ''} ${f.message}`);
    expect(faults(matted({ reliefMm: 9, thicknessMm: 4 }))).to.deep.equal([
      'mat-too-thin mould.mat.reliefMm a relief of 9 mm does not go into a mat 4 mm thick',
    ]);
    expect(faults(matted({ thicknessMm: 57, reliefMm: 2 }))[0]).to.match(
      /^mould-closed mould.mat.thicknessMm a mat 57 mm thick leaves only 3 mm/,
    );
    const round: Plan = {
      ...base,
      mould: {
        ...base.mould,
        mat: FIRST_MAT,
        shape: { kind: 'half-round', lengthMm: 200, diameterMm: 90 },
      },
    };
    expect(faults(round)[0]).to.match(/^mat-on-round/);
  });
});
