import { AS_PLANNED } from '../../src/core/batch/happened.ts';
import { added, poured, type Said } from '../../src/core/batch/note.ts';
import { expect } from 'chai';
import { dispersionPerG } from '../../src/core/colorant/dispersion.ts';
import type { Colorant } from '../../src/core/colorant/schema.ts';
import { STARTER_COLORANTS } from '../../src/core/colorant/starters.ts';
import { addToPot, withDose } from '../../src/core/edit/colorants.ts';
import { setEnd, setLayers, setTurn, startOmbre, takeApart, updateOmbre } from '../../src/core/edit/ombre.ts';
import { addPot, removePot } from '../../src/core/edit/pots.ts';
import { addPour, duplicatePour, moveStep, removeStep, setPourPot } from '../../src/core/edit/pours.ts';
import { readPlanFile } from '../../src/core/exchange/planFile.ts';
import { readPlanValue } from '../../src/core/exchange/planValue.ts';
import { writePlanFile } from '../../src/core/exchange/writePlan.ts';
import { SCHOOLS } from '../../src/core/plan/ombreSchema.ts';
import type { Plan } from '../../src/core/plan/planSchema.ts';
import { computePlan } from '../../src/core/computed/compute.ts';
import { procedureOf } from '../../src/core/procedure/procedureOf.ts';
import { boxPlan, rest } from '../support/plans.ts';
import { seeded } from '../support/random.ts';
import { really } from '../support/written.ts';

type Next = () => number;

const pick = <T>(list: readonly T[], next: Next): T | undefined => list[Math.floor(next() * list.length)];

/** One thing a maker might do, at random. */
function edited(plan: Plan, next: Next): Plan {
  const pours = plan.steps.filter((s) => s.kind === 'pour');
  const pour = pick(pours, next);
  const ombre = pick(plan.ombres, next);
  const pot = pick(plan.pots, next);
  const colorant = pick(STARTER_COLORANTS, next) as Colorant;
  const graded = pick(
    pours.filter((p) => p.ombre),
    next,
  );
  const deeds: (() => Plan)[] = [
    () =>
      startOmbre(plan, pick(['these-layers', 'whole-loaf', 'above'] as const, next) ?? 'above', colorant)
        .plan,
    () => (ombre ? setLayers(plan, ombre.id, 1 + Math.floor(next() * 12)) : plan),
    () => (ombre ? updateOmbre(plan, ombre.id, { school: pick(SCHOOLS, next) ?? 'one-pot' }) : plan),
    () =>
      ombre
        ? updateOmbre(plan, ombre.id, {
            spacing: pick(
              [
                { kind: 'even' },
                { kind: 'halving' },
                { kind: 'equal-dose' },
                { kind: 'curve', heights: [0.1, 0.4, 0.6] },
              ] as const,
              next,
            ) as Plan['ombres'][number]['spacing'],
          })
        : plan,
    () =>
      ombre ? setEnd(plan, ombre.id, 'to', withDose(ombre.to, colorant.id, 5 * next()), [colorant]) : plan,
    () => (ombre ? setEnd(plan, ombre.id, 'from', ombre.from.slice(1)) : plan),
    () =>
      graded ? setTurn(plan, graded.id, pick(['none', 'restart', 'reverse'] as const, next) ?? 'none') : plan,
    () => (ombre && next() < 0.3 ? takeApart(plan, ombre.id) : plan),
    () => (pour ? removeStep(plan, pour.id) : plan),
    () => (pour ? duplicatePour(plan, pour.id).plan : plan),
    () => (pour && pot ? setPourPot(plan, pour.id, pot.id) : plan),
    () => moveStep(plan, pour?.id ?? '', pick(pours, next)?.id ?? ''),
    () => (pot ? addPour(plan, pot.id).plan : plan),
    () => (plan.pots.length < 20 ? addPot(plan).plan : plan),
    () => (pot ? removePot(plan, pot.id) : plan),
    () => (pot ? addToPot(plan, pot.id, colorant) : plan),
  ];
  return (pick(deeds, next) as () => Plan)();
}

/** Now and then something is written down of a layer: poured or added otherwise, or as planned after all. */
function saidOf(plan: Plan, next: Next): readonly Said[] {
  const layer = pick(
    plan.steps.filter((s) => s.kind === 'pour' && s.ombre),
    next,
  );
  const colorant = pick(STARTER_COLORANTS, next);
  if (!layer || !colorant || next() > 1 / 15) return [];
  return [
    poured(layer.id, next() < 0.5 ? undefined : 300 * next()),
    added(layer.id, next() < 0.5 ? undefined : [{ colorant: colorant.id, massG: 3 * next() }]),
  ];
}

describe('whatever a maker does to an ombre', () => {
  it('the plan stays one that is read back the same, is computed without a fault, and pours only what it weighed', () => {
    let weighed = 0;
    for (let seed = 1; seed <= 40; seed += 1) {
      const next = seeded(seed);
      let plan = boxPlan([rest(), rest(), rest()]);
      const says: Said[] = [];
      for (let i = 0; i < 30; i += 1) {
        const after = edited(plan, next);
        // what the product refuses (too many pots or steps) is not stored
        const read = readPlanValue(after);
        if (!read.ok) {
          expect(read.faults[0].message, `seed ${seed}, edit ${i}`).to.match(/at most/);
          continue;
        }
        plan = after;
        says.push(...saidOf(plan, next));
        const computed = computePlan(plan, says.length > 0 ? really(plan, ...says) : AS_PLANNED);
        procedureOf(computed);
        for (const ombre of computed.weights?.ombres ?? []) {
          weighed += 1;
          for (const layer of ombre.layers)
            for (const m of layer.mix) {
              expect(Number.isFinite(m.doseGPerKg), `seed ${seed}, edit ${i}`).to.equal(true);
              expect(m.doseGPerKg, `seed ${seed}, edit ${i}`).to.be.at.least(0);
            }
          if (ombre.school === 'one-pot')
            for (const pass of ombre.pots.flatMap((p) => p.passes)) {
              const natureOf = (id: string) => plan.colorants.find((c) => c.id === id)?.nature;
              const added = pass.colorants.reduce((s, c) => s + c.massG * dispersionPerG(natureOf(c.id)), 0);
              expect(pass.pouredG, `seed ${seed}, edit ${i}`).to.be.at.most(
                pass.holdsG + pass.plainG + added + 1e-6,
              );
              expect(pass.leftG, `seed ${seed}, edit ${i}`).to.be.at.least(-1e-6);
            }
        }
      }
      expect(readPlanFile(writePlanFile(plan))).to.deep.equal({ ok: true, plan });
    }
    expect(weighed).to.be.above(200);
  });
});
