import { expect } from 'chai';
import fc from 'fast-check';
import { computePlan } from '../../src/core/computed/compute.ts';
import { addToPot, takeFromPot } from '../../src/core/edit/colorants.ts';
import { addPot, removePot, updatePot } from '../../src/core/edit/pots.ts';
import { inSecond } from '../../src/core/edit/second.ts';
import { addTop, setTop } from '../../src/core/edit/tops.ts';
import { readPlanFile } from '../../src/core/exchange/planFile.ts';
import { writePlanFile } from '../../src/core/exchange/writePlan.ts';
import { checkPlan } from '../../src/core/plan/checkPlan.ts';
import type { Plan } from '../../src/core/plan/planSchema.ts';
import { pipedIn } from '../../src/core/plan/second.ts';
import type { Result } from '../../src/core/result/result.ts';
import { fragrance } from '../support/additions.ts';
import { starter } from '../support/colours.ts';
import { boxPlan, demoPlans, rest } from '../support/plans.ts';
import { printed } from '../support/printed.ts';
import { follow, superfatOf, totalOf } from '../support/recount.ts';
import { told } from '../support/told.ts';

const base = boxPlan([rest(), rest()], {
  units: { ...boxPlan([rest()]).units, scaleStepG: 0.1, fineStepG: 0.01 },
});

/** Dollops of two bags on a box of 100 x 80 x 60 mm. */
function piped(acrossMm = 22, heightMm = 18): Plan {
  const { plan, stepId } = addTop(base, 'piping');
  const two = second(plan, (p) => addPot(p).plan);
  const [a, b] = two.second!.pots;
  return setTop(two, stepId, {
    top: 'piping',
    rows: [
      { pot: a!.id, offMm: -16, acrossMm, heightMm, perBar: 1 },
      { pot: b!.id, offMm: 14, acrossMm, heightMm },
    ],
  });
}

/** An edit of the second batch. */
function second(plan: Plan, edit: (part: Plan) => Plan | Result<Plan>): Plan {
  const part = computePlan(plan).second?.plan;
  const next = inSecond(edit, part ? pipedIn(part) : () => 1)(plan);
  if ('ok' in next) throw new Error('refused');
  return next;
}

describe('the batch that is piped on top', () => {
  it('is as large as what is piped and what bags keep, with a lye of its own that leaves its superfat', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 12, max: 24, noNaN: true }),
        fc.double({ min: 6, max: 40, noNaN: true }),
        fc.double({ min: 1, max: 12, noNaN: true }),
        (across, high, superfatPercent) => {
          const plan = second(piped(across, high), (p) => ({
            ...p,
            batter: {
              ...p.batter,
              superfatPercent,
              oils: [
                { oil: 'olive', percent: 50 },
                { oil: 'coconut', percent: 20 },
                { oil: 'shea', percent: 30 },
              ],
            },
          }));
          const computed = computePlan(plan);
          const w = computed.second!.weights!;
          const pipedG = computed.tops.reduce((s, t) => s + t.massG, 0);
          expect(w.batterG).to.be.closeTo(pipedG * 1.1, 0.5);
          // by hand: the middles of the Codex ranges (CXS 210 and 33) and the trade's of shea, from memory
          const sv: Record<string, number> = { olive: 190, coconut: 256.5, shea: 180 };
          const need = w.oils.reduce((s, o) => s + (o.massG * sv[o.id]! * 39.997) / 56.106 / 1000, 0);
          const pure = (w.lyeG * plan.batter.purityPercent) / 100;
          expect(pure, 'never more lye than the superfat leaves').to.be.at.most(
            need * (1 - superfatPercent / 100) + 1e-9,
          );
          expect(pure + 0.11).to.be.above(need * (1 - superfatPercent / 100));
        },
      ),
      { numRuns: 40 },
    );
  });

  it('is nothing to the loaf: not a gram of it is weighed otherwise', () => {
    const [plain, both] = [printed(base), printed(piped())];
    expect(both.batter).to.deep.equal(plain.batter);
    expect(both.pots).to.deep.equal(plain.pots);
  });

  it('done from the sheet alone, in vessels of its own, its lye never meets the loaf’s', () => {
    const plan = piped();
    const { procedure } = printed(plan);
    const recount = follow(procedure, plan);
    expect(recount.lowest).to.be.at.least(-1e-6);
    expect(totalOf(recount)).to.be.closeTo(recount.supplied, 1e-6);
    const bags = recount.vessels.get('second:mould')!;
    expect([...bags.values()].reduce((a, b) => a + b, 0)).to.be.closeTo(
      computePlan(plan).tops.reduce((s, t) => s + t.massG, 0),
      0.2,
    );
    expect(superfatOf(bags, plan)).to.be.within(5, 7);
    expect(superfatOf(recount.vessels.get('mould')!, plan)).to.be.within(5, 6);
  });

  it('is said of every vessel that is its own, and of none of the loaf’s', () => {
    const [piped] = demoPlans().filter((p) => p.second);
    const vessels = told(computePlan(piped!)).flatMap((a) => a.lines.flatMap((l) => [l.from, l.to]));
    const own = vessels.filter((v) => v.ofSecond === true);
    expect(own).to.not.be.empty;
    for (const v of vessels) expect(v.ofSecond === true, v.key).to.equal(v.key.startsWith('second:'));
  });

  it('is made once the loaf is poured and before it is piped, with its cautions', () => {
    const acts = told(computePlan(piped()));
    const ids = acts.map((a) => a.id);
    expect(new Set(ids).size).to.equal(ids.length);
    const at = (id: string): number => ids.findIndex((i) => i === id);
    const lastPour = acts.findLastIndex((a) => a.chapter === 'pour');
    const pipe = acts.findIndex((a) => a.deed.does === 'pipe');
    expect(lastPour).to.be.below(at('second:begin'));
    // its lye and oils stand ready before the loaf's meet, and nobody takes the one for the other
    expect(at('second:stir-lye')).to.be.below(at('emulsify'));
    expect(at('second:begin')).to.be.below(at('second:emulsify'));
    expect(acts[at('second:lye')]!.text).to.match(/^For piping: weigh/);
    for (const [id, whose] of [
      ['emulsify', /take the one of the loaf/],
      ['second:emulsify', /take the one for piping/],
    ] as const)
      expect(acts[at(id)]!.caution).to.match(whose);
    expect(told(computePlan(base)).find((a) => a.id === 'emulsify')!.caution).to.not.match(/Two jugs/);
    expect(at('second:bags')).to.be.below(pipe);
    expect(acts[at('second:begin')]!.caution).to.include('Fresh batter');
    expect(acts.filter((a) => a.id === 'second:stir-lye')[0]!.caution).to.include('never water into lye');
    expect(acts[pipe]!.text).to.match(/row 1, bag [A-Z]: 1 dollop to a bar/);
    expect(acts[pipe]!.text).to.include('one continuous row');
  });

  it('sets in its bags the sooner the quicker its own scent is, whenever that goes in', () => {
    const scented = (moment: 'trace' | 'colour', speed: 'none' | 'quickens-much'): number => {
      const plan = second(piped(), (p) => ({
        ...p,
        batter: { ...p.batter, fragrances: [fragrance(3, { moment, speed })] },
      }));
      const { acts } = computePlan(plan).clock!;
      const made = acts.find((a) => a.act.does === 'make' && a.about.ofSecond)!;
      return acts.find((a) => a.act.does === 'pipe')!.startMin - made.endMin;
    };
    for (const moment of ['trace', 'colour'] as const)
      // four times as fast, but for the minutes that hands take
      expect(scented(moment, 'quickens-much'), moment).to.be.below(0.5 * scented(moment, 'none'));
  });

  it('has pots of its own: none is called as one of the loaf’s, whichever side it is added on', () => {
    let plan = piped();
    for (let i = 0; i < 4; i += 1) {
      plan = second(plan, (p) => addPot(p).plan);
      plan = addPot(plan).plan;
    }
    const all = [...plan.pots, ...plan.second!.pots];
    expect(new Set(all.map((p) => p.id)).size).to.equal(all.length);
    expect(new Set(all.map((p) => p.letter)).size).to.equal(all.length);
    expect(checkPlan(plan)).to.deep.equal([]);
  });

  it('a bag that is taken out leaves its rows to the first one', () => {
    const plan = piped();
    const [first, gone] = plan.second!.pots;
    const empty = second(plan, (p) => ({ ...p, steps: p.steps.filter((s) => s.id !== `bag-${gone!.id}`) }));
    const after = second(empty, (p) => removePot({ ...p, steps: [] }, gone!.id));
    expect(after.second!.pots.map((p) => p.id)).to.deep.equal([first!.id]);
    const rows = after.steps.flatMap((s) => (s.kind === 'top' && s.way.top === 'piping' ? s.way.rows : []));
    expect(rows.map((r) => r.pot)).to.deep.equal([first!.id, first!.id]);
    expect(checkPlan(after)).to.deep.equal([]);
  });

  it('shares its colorants with the loaf: one that either has stays', () => {
    const pot = piped().second!.pots[0]!.id;
    const loafs = addToPot(piped(), 'p1', starter('slate'));
    const both = second(loafs, (p) => addToPot(addToPot(p, pot, starter('slate')), pot, starter('heather')));
    expect(both.colorants.map((c) => c.id).toSorted()).to.deep.equal(['heather', 'slate']);
    expect(second(both, (p) => takeFromPot(p, pot, 'slate')).colorants).to.have.length(2);
    const fromLoaf = takeFromPot(both, 'p1', 'slate');
    expect(fromLoaf.colorants, 'the bag still has it').to.have.length(2);
    expect(
      takeFromPot(
        second(both, (p) => takeFromPot(p, pot, 'heather')),
        'p1',
        'slate',
      ).colorants,
    ).to.have.length(1);
    expect(checkPlan(both)).to.deep.equal([]);
  });

  it('what is refused in it is refused in all: there is no sheet', () => {
    const plan = second(piped(), (p) => ({ ...p, batter: { ...p.batter, oils: [] } }));
    const computed = computePlan(plan);
    expect(computed.weights).to.equal(undefined);
    expect(computed.warnings.some((w) => w.level === 'refuse' && w.message.startsWith('Piping:'))).to.equal(
      true,
    );
    // the loaf's own weights are told all the same
    expect(computed.batch).to.not.equal(undefined);
  });

  it('a scale too coarse for so small a batch is said, and its remedies mend the second batch alone', () => {
    const coarse: Plan = { ...piped(), units: { ...piped().units, scaleStepG: 1 } };
    const said = computePlan(coarse).warnings.find((w) => w.code === 'scale-coarse' && w.ofSecond);
    expect(said?.message).to.match(/^Piping: /);
    for (const w of computePlan(coarse).warnings)
      for (const r of w.remedies ?? [])
        if (w.ofSecond) expect(r.apply(coarse).batter).to.deep.equal(coarse.batter);
  });

  it('is as it was when it is read from its file again', () => {
    const plan = second(piped(), (p) => updatePot(p, p.pots[0]!.id, { name: 'Foam' }));
    const read = readPlanFile(writePlanFile(plan));
    expect(read.ok && read.plan).to.deep.equal(plan);
  });

  it('the demo that is piped has no warnings, and its bags are told by their letters', () => {
    const plan = demoPlans().find((p) => p.second)!;
    const computed = computePlan(plan);
    expect(computed.warnings).to.deep.equal([]);
    const bags = told(computed).find((a) => a.id === 'second:bags')!;
    expect(bags.lines.map((l) => l.name.slice(0, 5))).to.deep.equal(['Bag D', 'Bag E']);
  });
});
