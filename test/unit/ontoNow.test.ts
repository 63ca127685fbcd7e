import { expect } from 'chai';
import fc from 'fast-check';
import { ontoNow } from '../../src/core/edit/ontoNow.ts';
import { addPour, removeStep } from '../../src/core/edit/pours.ts';
import type { Plan } from '../../src/core/plan/planSchema.ts';
import { boxPlan, rest } from '../support/plans.ts';

type Nested = Readonly<Record<string, Readonly<Record<string, number>>>>;

const PLACES = ['a', 'b'];
const FIELDS = ['x', 'y', 'z'];
const nested: fc.Arbitrary<Nested> = fc.record(
  Object.fromEntries(PLACES.map((p) => [p, fc.dictionary(fc.constantFrom(...FIELDS), fc.integer())])),
);
const spot = fc.tuple(fc.constantFrom(...PLACES), fc.constantFrom(...FIELDS), fc.integer());

describe('an edit of what is shown, made to what there is by now', () => {
  /** as a panel does it: the record that it shows, with one field of it changed */
  const asShown =
    (shown: Nested, [at, field, to]: [string, string, number]) =>
    (now: Nested): Nested => ({ ...now, [at]: { ...shown[at], [field]: to } });

  it('changes its own field and loses none that was changed since, whatever these are', () => {
    fc.assert(
      fc.property(nested, spot, spot, (shown, first, second) => {
        const now = asShown(shown, first)(shown);
        const last = asShown(shown, second);
        const got = ontoNow({ shown, madeToShown: last(shown), now, madeToNow: last(now) });
        // one after another, each seeing what the other did
        const wanted = asShown(now, second)(now);
        // a field that is typed to what it was shown as says nothing against what it became
        if (shown[second[0]]?.[second[1]] !== second[2]) expect(got).to.deep.equal(wanted);
        else expect(got).to.deep.equal(now);
      }),
    );
  });

  it('is the edit itself where nothing went on', () => {
    fc.assert(
      fc.property(nested, spot, (shown, how) => {
        const made = asShown(shown, how)(shown);
        expect(ontoNow({ shown, madeToShown: made, now: shown, madeToNow: made })).to.equal(made);
      }),
    );
  });

  it('lets a turn that is taken back be taken back, and what is new be taken out again', () => {
    const flipped = (p: { on: boolean }): { on: boolean } => ({ on: !p.on });
    const shown = { on: false };
    const now = flipped(shown);
    expect(ontoNow({ shown, madeToShown: flipped(shown), now, madeToNow: flipped(now) })).to.deep.equal(
      shown,
    );
    const plan = boxPlan([rest()]);
    const { plan: more, stepId } = addPour(plan, plan.pots[0]!.id);
    const without = (p: Plan): Plan => removeStep(p, stepId);
    expect(
      ontoNow({ shown: plan, madeToShown: without(plan), now: more, madeToNow: without(more) }).steps.length,
    ).to.equal(plan.steps.length);
  });

  it('takes what was given last of two ways of saying one thing, and changes what has become another kind', () => {
    const given = (amount: object) => (): object => ({ amount });
    const last = given({ kind: 'percent', percent: 34 });
    const now = { amount: { kind: 'mass', massG: 430 } };
    for (const amount of [
      { kind: 'percent', percent: 36 },
      { kind: 'rest', parts: 2 },
      { kind: 'mass', massG: 400 },
    ])
      expect(
        ontoNow<object>({ shown: { amount }, madeToShown: last(), now, madeToNow: last() }),
      ).to.deep.equal(last());
    // a trough that was made a tube meanwhile has the diameter too
    const tube = { amount: { kind: 'tube', diameterMm: 90, lengthMm: 200 } };
    const trough = { amount: { kind: 'trough', diameterMm: 90 } };
    const narrower = given({ kind: 'trough', diameterMm: 80 });
    expect(
      ontoNow<object>({ shown: trough, madeToShown: narrower(), now: tube, madeToNow: narrower() }),
    ).to.deep.equal({ amount: { kind: 'tube', diameterMm: 80, lengthMm: 200 } });
  });

  it('tells things in lists by their ids: one is changed, another was meanwhile', () => {
    const shown = {
      pots: [
        { id: 'p', stage: 1, name: 'A' },
        { id: 'q', stage: 1, name: 'B' },
      ],
    };
    const now = {
      pots: [
        { id: 'q', stage: 3, name: 'B' },
        { id: 'p', stage: 1, name: 'A' },
        { id: 'r', stage: 1, name: 'C' },
      ],
    };
    // a panel that puts back the pot that it shows
    const renamed = (of: typeof shown): typeof shown => ({
      pots: of.pots.map((p) => (p.id === 'q' ? { id: 'q', stage: 1, name: 'Peat' } : p)),
    });
    expect(ontoNow({ shown, madeToShown: renamed(shown), now, madeToNow: renamed(now) })).to.deep.equal({
      pots: [
        { id: 'q', stage: 3, name: 'Peat' },
        { id: 'p', stage: 1, name: 'A' },
        { id: 'r', stage: 1, name: 'C' },
      ],
    });
  });
});
