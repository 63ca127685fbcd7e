import { bodyOfHex } from '../src/core/colour/body.ts';
import { difference } from '../src/core/colour/difference.ts';
import { labOfHex } from '../src/core/colour/lab.ts';
import { contrastOrder } from '../src/core/colour/order.ts';
import { rampOf } from '../src/core/colour/ramp.ts';
import { startOmbre, setLayers } from '../src/core/edit/ombre.ts';
import { placesOn, stripOf } from '../src/core/ombre/strip.ts';
import type { Plan } from '../src/core/plan/planSchema.ts';
import { computePlan } from '../src/core/computed/compute.ts';
import { HEATHER, twelveLayers } from './core.ts';
import { medianMs, ms, type Say } from './measure.ts';

const LAYERS = 24;

/** A loaf that is one ombre of 24 layers. */
export function gradedLoaf(): Plan {
  const { plan, ombreId } = startOmbre(twelveLayers(), 'whole-loaf', HEATHER);
  return setLayers(plan, ombreId, LAYERS);
}

/** The same plan, with an ombre object that nothing is remembered of. */
const anew = (plan: Plan): Plan => ({ ...plan, ombres: plan.ombres.map((o) => ({ ...o })) });

export function benchColour(say: Say): void {
  const from = bodyOfHex('#f0e6d0');
  const to = bodyOfHex('#7d4f86');
  const even = medianMs(() => {
    const ramp = rampOf(from, to);
    stripOf(ramp, placesOn(ramp, { kind: 'even' }, LAYERS));
  });
  const dose = medianMs(() => {
    const ramp = rampOf(from, to);
    stripOf(ramp, placesOn(ramp, { kind: 'equal-dose' }, LAYERS));
  });
  say(`grading ${LAYERS} layers even to the eye, with their strip (aim: 16 ms)`, ms(even));
  say('the same by equal dose, which needs no search', ms(dose));
  const plan = gradedLoaf();
  say(
    `plan with an ombre of ${LAYERS} layers, graded and computed anew`,
    ms(medianMs(() => computePlan(anew(plan)))),
  );
  say('the same while a line is dragged (grading remembered)', ms(medianMs(() => computePlan(plan))));

  const labs = Array.from({ length: 9 }, (_, i) =>
    labOfHex(`#${((i * 1_864_135 + 4_000_000) % 0xffffff).toString(16).padStart(6, '0')}`),
  );
  const table = labs.map((a) => labs.map((b) => difference(a, b)));
  say('best order of 9 pots, exactly (aim: 50 ms)', ms(medianMs(() => contrastOrder(table))));
}
