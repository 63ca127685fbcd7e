import { expect } from 'chai';
import { VESSEL } from '../../src/core/day/vessel.ts';
import { computePlan } from '../../src/core/computed/compute.ts';
import { takeFromPot } from '../../src/core/edit/colorants.ts';
import { addMicaLine, dustedDm2, setLineColorant, updateMicaLine } from '../../src/core/edit/micaLine.ts';
import { addPattern } from '../../src/core/edit/pattern.ts';
import { removeStep, setRough } from '../../src/core/edit/pours.ts';
import { addScrape } from '../../src/core/edit/scrape.ts';
import { addWire } from '../../src/core/edit/wire.ts';
import { sectionAt } from '../../src/core/face/loafFaces.ts';
import { rasterise } from '../../src/core/face/raster.ts';
import { noneReady, readyFrom } from '../../src/core/face/ready.ts';
import { layPlan } from '../../src/core/fill/layPlan.ts';
import type { LaidMould } from '../../src/core/fill/laid.ts';
import { leftIn } from '../../src/core/ledger/ledger.ts';
import { checkPlan } from '../../src/core/plan/checkPlan.ts';
import type { Plan } from '../../src/core/plan/planSchema.ts';
import { starter } from '../support/colours.ts';
import { boxPlan, rest } from '../support/plans.ts';
import { printed } from '../support/printed.ts';
import { follow, totalOf } from '../support/recount.ts';
import { simulatedMl } from '../support/simulated.ts';

const firstOf = (plan: Plan): LaidMould => layPlan(plan).moulds[0];

const LINE = starter('heather');

/** A line over the first of three layers in a box of 100 x 80 x 60 mm. */
function lined(plan: Plan = boxPlan([rest(), rest(), rest()])): { readonly plan: Plan; readonly id: string } {
  const made = addMicaLine(plan, firstOf(plan).stack.layers[0]!, LINE);
  return { plan: made.plan, id: made.stepId };
}

const codes = (plan: Plan): readonly string[] =>
  computePlan(plan)
    .warnings.filter((w) => w.code.startsWith('line-'))
    .map((w) => w.code);

/** ml of the line that the pictures show. */
const shown = (plan: Plan, id: string): number =>
  simulatedMl(firstOf(plan), readyFrom(noneReady()), 20, 240).get(id) ?? 0;

describe('lines of colorant between layers', () => {
  it('lie on their layer all over, half a millimetre of them seen', () => {
    const { plan, id } = lined();
    // 100 x 80 mm, 0.5 mm
    expect(shown(plan, id)).to.be.closeTo(4, 0.7);
    const laid = firstOf(plan);
    expect(laid.stack.layers).to.have.length(3);
    expect(laid.stack.filledMl).to.be.closeTo(
      firstOf(boxPlan([rest(), rest(), rest()])).stack.filledMl,
      1e-9,
    );
  });

  it('follow a profile, and what is left rough', () => {
    const base = boxPlan([rest(), rest(), rest()]);
    const scraped = addScrape(base, firstOf(base).stack.layers[0]!).plan;
    const over = lined(scraped);
    expect(shown(over.plan, over.id)).to.be.closeTo(4, 0.7);
    expect(over.plan.steps.map((s) => s.kind)).to.deep.equal([
      'pour',
      'wait',
      'scrape',
      'wait',
      'mica',
      'pour',
      'pour',
    ]);
    const rough = lined(setRough(base, 's1', 6));
    expect(shown(rough.plan, rough.id)).to.be.closeTo(4, 0.7);
  });

  it('are weighed as powder into every mould, and nothing else changes', () => {
    const { plan, id } = lined();
    const line = plan.steps.find((s) => s.id === id)!;
    const massG = line.kind === 'mica' ? line.massG : 0;
    // 0.8 g on 100 cm2, of which there are 80
    expect(massG).to.equal(0.6);
    const twice: Plan = { ...plan, fill: { ...plan.fill, copies: 2 } };
    const { ledger } = computePlan(twice).weights!;
    expect(leftIn(ledger, VESSEL.mould('first')).get(`colorant:${LINE.id}`)).to.be.closeTo(1.2, 1e-9);
    expect(computePlan(plan).weights!.batterG).to.equal(computePlan(removeStep(plan, id)).weights!.batterG);
    const sheet = printed(twice);
    const recount = follow(sheet.procedure, twice);
    expect(totalOf(recount)).to.be.closeTo(recount.supplied, 1e-6 * recount.supplied);
    const act = sheet.procedure.find((a) => a.id === `mica:${id}`)!;
    expect(act.text).to.match(/^Dust .* through a fine sieve over the whole layer/);
    expect(act.lines[0]).to.include({ mass_g: 0.6, times: 2 });
    const oil = printed(updateMicaLine(plan, id, { how: 'oil' })).procedure.find(
      (a) => a.id === `mica:${id}`,
    )!;
    expect(oil.text).to.match(/about 1.8 ml of a liquid oil.*adds to the superfat/);
  });

  it('are spoken of: too thick, dark at the cut, over nothing, in batter that is pushed about', () => {
    const { plan, id } = lined();
    const layer = firstOf(plan).stack.layers[0]!;
    expect(dustedDm2(layer)).to.be.closeTo(0.8, 1e-9);
    const thick = updateMicaLine(plan, id, { massG: 2 });
    const [parts] = computePlan(thick).warnings.filter((w) => w.code === 'line-parts');
    expect(parts!.message).to.include('2.5 g on 100 cm²');
    expect(codes(parts!.remedies![0]!.apply(thick))).not.to.include('line-parts');
    const dark = setLineColorant(plan, id, starter('charcoal'));
    const [smears] = computePlan(dark).warnings.filter((w) => w.code === 'line-smears');
    expect(codes(smears!.remedies![0]!.apply(dark))).not.to.include('line-smears');
    const first: Plan = {
      ...plan,
      steps: [...plan.steps.filter((s) => s.id === id), ...plan.steps.filter((s) => s.id !== id)],
    };
    expect(codes(first)).to.include('line-on-nothing');
    const walled = addPattern(boxPlan([rest(), rest()]), { at: 'wall', wall: 'left' }).plan;
    expect(codes(lined(walled).plan)).to.include('line-carried');
  });

  it('in batter that stays fluid are carried along by what is poured or drawn next, and stay as much', () => {
    const layered = boxPlan([rest(), rest()]);
    const walled = lined(addPattern(layered, { at: 'wall', wall: 'left' }).plan);
    const wired = lined(addWire(layered, 'waves', 54).plan);
    for (const [{ plan, id }, how] of [
      [walled, 'aside'],
      [wired, 'waved'],
      [lined(layered), 'straight'],
    ] as const) {
      // half a millimetre on 80 cm2
      expect(shown(plan, id), how).to.be.closeTo(4, 0.4);
      const { band, pours } = rasterise(sectionAt(firstOf(plan), 50), 160, 120, readyFrom(noneReady()), 2);
      const seen = [...band.keys()].filter((i) => pours[band[i]! - 1] === id);
      const [rows, columns] = [seen.map((i) => Math.floor(i / 320)), seen.map((i) => i % 320)];
      const high = Math.max(...rows) - Math.min(...rows);
      if (how === 'waved') expect(high).to.be.above(12);
      else expect(high).to.be.below(5);
      // what comes down the left wall pushes it to the right; 4 px a mm
      const bare = Math.min(...columns);
      if (how === 'aside') expect(bare).to.be.above(20);
      else expect(bare).to.be.below(4);
    }
  });

  it('keep their colorant in the plan, and are refused without it', () => {
    const { plan, id } = lined();
    const kept = takeFromPot(plan, 'p1', 'none');
    expect(kept.colorants.some((c) => c.id === LINE.id)).to.equal(true);
    expect(checkPlan({ ...plan, colorants: [] }).map((f) => f.code)).to.include('unknown-colorant');
    const other = setLineColorant(plan, id, starter('charcoal'));
    expect(other.colorants.map((c) => c.id)).to.deep.equal([starter('charcoal').id]);
  });
});
