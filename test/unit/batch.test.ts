import { expect } from 'chai';
import fc from 'fast-check';
import { happenedIn } from '../../src/core/batch/happened.ts';
import { backToPlan, noteAdded, notePoured } from '../../src/core/edit/happened.ts';
import { takeApart } from '../../src/core/edit/ombre.ts';
import { setAmount } from '../../src/core/edit/pours.ts';
import { readPlanValue } from '../../src/core/exchange/planFile.ts';
import { poursOfOmbre } from '../../src/core/ombre/runs.ts';
import type { Plan } from '../../src/core/plan/planSchema.ts';
import { computePlan } from '../../src/core/computed/compute.ts';
import { demoPlans, WHEN } from '../support/plans.ts';
import { printed } from '../support/printed.ts';

/** A plan with an ombre, and the ids of its layers. */
function graded(): { readonly plan: Plan; readonly layers: readonly string[] } {
  const plan = demoPlans().find((p) => p.ombres.length > 0)!;
  return { plan, layers: poursOfOmbre(plan, plan.ombres[0]!.id).map((p) => p.id) };
}

/** What may be written: poured, added, or taken back. */
const noted = fc.record({
  layer: fc.nat(20),
  what: fc.constantFrom('poured', 'added', 'not poured', 'not added'),
  massG: fc.integer({ min: 1, max: 900 }),
});

describe('the book of a batch', () => {
  it('keeps every entry as it was written, and says what holds after the last', () => {
    const { plan, layers } = graded();
    fc.assert(
      fc.property(fc.array(noted, { maxLength: 25 }), (entries) => {
        let now = plan;
        // the same, kept by overwriting
        const poured = new Map<string, number>();
        const added = new Map<string, number>();
        for (const [i, { layer, what, massG }] of entries.entries()) {
          const pour = layers[layer % layers.length]!;
          const at = new Date(Date.UTC(2026, 1, 1, 12, i)).toISOString();
          const before = now.batch?.events ?? [];
          if (what === 'poured') {
            now = notePoured(now, pour, massG, at);
            poured.set(pour, massG);
          } else if (what === 'added') {
            now = noteAdded(now, pour, [{ colorant: 'heather', massG: massG / 100 }], at);
            added.set(pour, massG / 100);
          } else if (what === 'not poured') {
            now = notePoured(now, pour, undefined, at);
            poured.delete(pour);
          } else {
            now = noteAdded(now, pour, undefined, at);
            added.delete(pour);
          }
          expect((now.batch?.events ?? []).slice(0, before.length)).to.deep.equal(before);
        }
        const happened = happenedIn(now);
        for (const pour of layers) {
          expect(happened.get(pour)?.pouredG).to.equal(poured.get(pour));
          expect(happened.get(pour)?.added?.[0]?.massG).to.equal(added.get(pour));
        }
        const read = readPlanValue(now);
        expect(read.ok || read.faults[0]).to.equal(true);
      }),
      { seed: 5, numRuns: 100 },
    );
  });

  it('taken back, the sheet is the planned one again', () => {
    const { plan, layers } = graded();
    const noted = noteAdded(
      notePoured(plan, layers[1]!, 77, WHEN),
      layers[2]!,
      [{ colorant: plan.ombres[0]!.to[0]!.colorant, massG: 0.4 }],
      WHEN,
    );
    expect(printed(noted).steps).to.not.deep.equal(printed(plan).steps);
    expect(printed(backToPlan(noted, layers, WHEN)).steps).to.deep.equal(printed(plan).steps);
  });

  it('of a layer that is none any more says nothing, and softens no refusal', () => {
    const { plan, layers } = graded();
    const ombre = plan.ombres[0]!.id;
    const apart = takeApart(notePoured(plan, layers[1]!, 77, WHEN), ombre);
    expect(happenedIn(apart).size).to.equal(0);
    const over = setAmount(apart, layers[0]!, { kind: 'height', heightMm: 500 });
    const fault = computePlan(over).warnings.find((w) => w.code === 'overfull')!;
    expect(fault.level).to.equal('refuse');
  });
});
