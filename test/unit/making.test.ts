import { expect } from 'chai';
import fc from 'fast-check';
import { begunBatch, noted } from '../../src/core/batch/note.ts';
import { stateOf, type BatchState } from '../../src/core/batch/state.ts';
import { computePlan, type Computed } from '../../src/core/computed/compute.ts';
import { heldNow } from '../../src/core/making/held.ts';
import { comesAfter, nextOf, toCarryOut, toMakeReady } from '../../src/core/making/order.ts';
import type { Act } from '../../src/core/procedure/act.ts';
import { jugLedger } from '../../src/core/procedure/jugLedger.ts';
import { procedureOf } from '../../src/core/procedure/procedureOf.ts';
import { anyDay } from '../support/anyDay.ts';
import { demoPlans } from '../support/plans.ts';

/** Less than this is a double's dust, g. */
const DUST_G = 1e-6;

const ended = (acts: readonly Act[]): Pick<BatchState, 'done' | 'weighed'> => ({
  done: new Map(acts.map((a) => [a.id, { utcMs: 0 }])),
  weighed: new Map(),
});

/** What the plan's own book says that every vessel holds in the end. */
const bookOf = (computed: Computed): ReadonlyMap<string, number> =>
  new Map(jugLedger(computed).flatMap((entry) => entry.vessels.map((v) => [v.vessel.key, v.holdsG])));

/** Done in an order of chance, each act only where nothing has to come before it. */
function anyOrder(acts: readonly Act[], next: () => number): readonly Act[] {
  const state = { done: new Map<string, { utcMs: number }>() };
  const order: Act[] = [];
  for (;;) {
    const can = toCarryOut(acts).filter((a) => !state.done.has(a.id) && !comesAfter(acts, state, a));
    const act = can[next() % Math.max(1, can.length)];
    if (!act) return order;
    order.push(act);
    state.done.set(act.id, { utcMs: 0 });
  }
}

describe('a batch as it is made', () => {
  it('as planned it ends with the plan’s own book, gram for gram, in every demo plan', () => {
    for (const plan of demoPlans()) {
      const computed = computePlan(plan);
      const acts = procedureOf(computed);
      const held = heldNow(computed, acts, ended(acts));
      for (const [vessel, massG] of bookOf(computed))
        expect(held.get(vessel) ?? 0, `${plan.name}, ${vessel}`).to.be.closeTo(massG, DUST_G);
    }
  });

  it('acts stand one after another from the lye on: what is next is the first that is not done', () => {
    for (const plan of demoPlans()) {
      const acts = procedureOf(computePlan(plan));
      let batch = begunBatch(plan, 'b', { utcMs: 0 });
      const done: string[] = [];
      for (let next = nextOf(acts, stateOf(batch)); next; next = nextOf(acts, stateOf(batch))) {
        done.push(next.id);
        const stamp = { id: `e${done.length}`, device: 'd', at: { utcMs: done.length } };
        batch = noted(batch, { does: 'done', act: next.id }, stamp);
      }
      expect(done).to.deep.equal(toCarryOut(acts).map((a) => a.id));
      expect(toCarryOut(acts).some((a) => a.chapter === 'cut')).to.equal(false);
      const apart = new Set([...toMakeReady(acts), ...toCarryOut(acts)].map((a) => a.id));
      expect(acts.filter((a) => !apart.has(a.id)).every((a) => a.chapter === 'cut')).to.equal(true);
    }
  });

  it('in any order that is allowed nothing is drawn that is not there, moulds keep theirs, and it ends alike', () => {
    fc.assert(
      fc.property(anyDay, fc.infiniteStream(fc.nat()), ({ plan, happened }, random) => {
        const computed = computePlan(plan, happened);
        const acts = procedureOf(computed);
        const order = anyOrder(acts, () => random.next().value as number);
        expect(order).to.have.length(toCarryOut(acts).length);
        for (let n = 0; n <= order.length; n += 1)
          for (const [vessel, massG] of heldNow(computed, acts, ended(order.slice(0, n))))
            expect(massG, `${vessel} after ${order[n - 1]?.id ?? ''}`).to.be.above(-1e-3);
        const all = toCarryOut(acts);
        // pours, and what is done in the mould without a scale: propped, waited, drawn, misted
        const inMould = (a: Act): boolean =>
          /^pour:/.test(a.id) || (a.lines.length === 0 && !/lye$/.test(a.deed.does));
        expect(order.filter(inMould)).to.deep.equal(all.filter(inMould));
        // nothing is drawn of a lye that is not dissolved, nor lye weighed to water that is not there
        for (const jug of ['lye', 'second:lye']) {
          const lye = (a: Act): boolean =>
            (a.ofSecond === true) === (jug !== 'lye') &&
            (/lye$/.test(a.deed.does) || a.lines.some((l) => l.from.key === jug && a.pot === undefined));
          expect(order.filter(lye)).to.deep.equal(all.filter(lye));
        }
      }),
      { seed: 2712, numRuns: 40 },
    );
  });

  it('of a lye that is not dissolved nothing is drawn, of the batch for piping neither', () => {
    for (const plan of demoPlans()) {
      const acts = toCarryOut(procedureOf(computePlan(plan)));
      for (const dissolve of acts.filter((a) => a.deed.does === 'dissolve-lye')) {
        const key = dissolve.ofSecond ? 'second:lye' : 'lye';
        const drawn = acts.filter((a) => a.lines.some((l) => l.from.key === key));
        expect(drawn, plan.name).to.not.be.empty;
        const others = ended(acts.filter((a) => a !== dissolve));
        const done = new Map([...others.done].filter(([id]) => !drawn.some((a) => a.id === id)));
        for (const act of drawn) expect(comesAfter(acts, { done }, act), plan.name).to.not.equal(undefined);
        expect(comesAfter(acts, { done }, drawn[0]!), plan.name).to.equal(dissolve);
      }
    }
  });

  it('what is in a cup or a jug of its own can be made ready while the mould waits', () => {
    const acts = procedureOf(computePlan(demoPlans().find((p) => p.name === 'Copper Weir')!));
    const upTo = (id: string) => ended(acts.slice(0, acts.findIndex((a) => a.id === id) + 1));
    const act = (id: string): Act => acts.find((a) => a.id === id)!;
    // the mould is not propped yet
    expect(comesAfter(acts, upTo('pot:p5'), act('pot-colour:p1'))).to.equal(undefined);
    expect(comesAfter(acts, upTo('pot:p5'), act('stir:s1'))?.id).to.equal('pot-colour:p1');
    const coloured = upTo('pot:p5');
    const done = new Map([...coloured.done, ['pot-colour:p1', { utcMs: 0 }]]);
    expect(comesAfter(acts, { done }, act('stir:s1'))).to.equal(undefined);
    expect(comesAfter(acts, upTo('pot:p5'), act('pour:s2'))?.id).to.equal('t1');
    expect(comesAfter(acts, ended([]), act('emulsify'))?.id).to.equal('water');
  });

  it('more scraped off leaves so much less lying there', () => {
    const plan = demoPlans().find((p) => p.steps.some((s) => s.kind === 'scrape'))!;
    const computed = computePlan(plan);
    const acts = procedureOf(computed);
    const scrape = acts.find((a) => a.deed.does === 'scrape')!;
    const [line] = scrape.lines;
    const lying = (weighed: BatchState['weighed']): number =>
      heldNow(computed, [scrape], { ...ended([scrape]), weighed }).get('mould')!;
    const scraped = { whole: { massG: line!.massG + 20, device: 'd' }, lines: new Map() };
    expect(lying(new Map()) - lying(new Map([[scrape.id, scraped]]))).to.be.closeTo(20, DUST_G);
  });

  it('what was weighed otherwise is what is held: of a line by itself, or of the whole act', () => {
    const [plan] = demoPlans();
    const computed = computePlan(plan!);
    const acts = procedureOf(computed);
    const oils = acts.find((a) => a.deed.does === 'weigh-oils')!;
    const whole = oils.lines.reduce((sum, l) => sum + l.massG * l.times, 0);
    const now = (weighed: BatchState['weighed']): number =>
      heldNow(computed, [oils], { ...ended([oils]), weighed }).get('oils')!;
    const at = (massG: number) => ({ massG, device: 'd' });
    expect(now(new Map())).to.be.closeTo(whole, DUST_G);
    expect(now(new Map([[oils.id, { whole: at(900), lines: new Map() }]]))).to.be.closeTo(900, DUST_G);
    const more = oils.lines[1]!.massG + 5;
    expect(now(new Map([[oils.id, { lines: new Map([['2', at(more)]]) }]]))).to.be.closeTo(whole + 5, DUST_G);
  });
});
