import { courseOf } from '../../src/core/clock/courseOf.ts';
import { asTimed } from '../../src/core/clock/asTimed.ts';
import { woven } from '../../src/core/clock/batches.ts';
import { earliestOf } from '../../src/core/clock/earliest.ts';
import { foretoldOf } from '../../src/core/clock/foretold.ts';
import { freeOf } from '../../src/core/clock/hands.ts';
import { learnedOf } from '../../src/core/clock/learned.ts';
import { weighing } from '../../src/core/clock/matters.ts';
import { needsOf } from '../../src/core/clock/needs.ts';
import { offered } from '../../src/core/clock/offered.ts';
import { priorCourse } from '../../src/core/clock/priorCourse.ts';
import { readingsSeen, takeReading } from '../../src/core/clock/readings.ts';
import { searching } from '../../src/core/clock/ways.ts';
import { afterwards } from '../../src/core/clock/afterwards.ts';
import { STARTER_COLORANTS } from '../../src/core/colorant/starters.ts';
import { bodyOfHex, hexOfBody, labOfBody } from '../../src/core/colour/body.ts';
import { DEFICIENCIES, seenWith } from '../../src/core/colour/deficiency.ts';
import { difference } from '../../src/core/colour/difference.ts';
import { labOfHex } from '../../src/core/colour/lab.ts';
import { contrastOrder, gentlestOrder, leastStep } from '../../src/core/colour/order.ts';
import { stirredName, wheelName, wheelOf } from '../../src/core/colour/painterWheel.ts';
import { tint } from '../../src/core/colour/pigment.ts';
import { rampOf, rampOfDoses } from '../../src/core/colour/ramp.ts';
import { curveWeights, evenSteps, halving, weightedSteps } from '../../src/core/colour/spacing.ts';
import { carryOver } from '../../src/core/colour/stirring.ts';
import { singleBars } from '../../src/core/cut/singleBars.ts';
import { sideOfBar, sidesOf } from '../../src/core/face/barFaces.ts';
import type { FramedFace } from '../../src/core/face/framed.ts';
import { planAt, sectionAt, topFace } from '../../src/core/face/loafFaces.ts';
import { rasterise, type Ready } from '../../src/core/face/raster.ts';
import { noneReady, readyFrom } from '../../src/core/face/ready.ts';
import { computePlan } from '../../src/core/computed/compute.ts';
import { layPlan } from '../../src/core/fill/layPlan.ts';
import { matchesFor } from '../../src/core/look/matchColour.ts';
import { shiftedBase, shiftedPigment } from '../../src/core/look/shifts.ts';
import { AGES } from '../../src/core/look/state.ts';
import type { Plan } from '../../src/core/plan/planSchema.ts';
import { finish } from '../../src/core/task/task.ts';
import { hazeOf } from '../../src/core/timing/haze.ts';
import { sampling } from '../../src/core/timing/odds.ts';
import { Normals } from '../../src/core/timing/normals.ts';
import { figuresOf, keptAs } from '../support/figures.ts';
import { demoPlans } from '../support/plans.ts';
import { rareLoaves, withRarer } from '../support/rarer.ts';

/*
 * What is offered beside the sheet, as it was when it was looked at: the clock's ways, what matters and what
 * is learned; faces; colours. Kept and written as the figures of sheets are (see figures.test.ts).
 */
const SAMPLES = 30;

const named = (name: string): Plan => demoPlans().find((p) => p.name === name)!;

/**
 * How many pixels of a face each pour has, and where their middle is: in tenths of a pixel, from the left and
 * from the top.
 */
function countedIn(face: FramedFace, ready: Ready): object {
  const [wide, high] = [120, 90];
  const { band, pours } = rasterise(face, wide, high, ready, 1);
  return pours.map((pour, nth) => {
    let [count, x, y] = [0, 0, 0];
    band.forEach((b, i) => {
      if (b !== nth + 1) return;
      count += 1;
      x += i % wide;
      y += Math.floor(i / wide);
    });
    return [pour, count, ...(count > 0 ? [x, y].map((sum) => Math.round((10 * sum) / count)) : [])];
  });
}

/** Two pots looked at, one twice: thicker than they were foretold. */
function lookedAt(plan: Plan): Plan {
  const laid = layPlan(plan);
  const [one, two] = plan.pots;
  const see = (p: Plan, pot: string, min: number, stage: number): Plan =>
    takeReading(p, laid, { pot, min, stage });
  return see(see(see(plan, one!.id, 6, 1.1), one!.id, 14, 1.9), (two ?? one!).id, 18, 2.4);
}

function clockOf(plan: Plan): object {
  const laid = layPlan(plan);
  const computed = computePlan(plan);
  const { clock } = computed;
  const ways = finish(searching(plan, laid, { seed: 3, samples: SAMPLES, accepts: () => true }));
  const course = courseOf(plan, laid)!;
  const told = lookedAt(plan);
  const prior = priorCourse(told, layPlan(told))!;
  const learned = learnedOf(told, layPlan(told), prior);
  const late = asTimed(plan, laid, 25);
  return {
    ways: ways && offered(ways).best.map(({ plan: _plan, ...way }) => way),
    matters: finish(weighing(plan, course, new Normals(5, SAMPLES), plan.clock.keeping ?? 'feel')),
    hazes: hazeOf(course.course, new Normals(5, SAMPLES), 'feel', [1, 4, 9, 16, 30]),
    thinner: finish(sampling(course.course, new Normals(5, SAMPLES), 'clock', { doubt: { place: 0, z: -1 } }))
      .whole,
    learned,
    foretold: foretoldOf(told, layPlan(told), prior, learned).map((f) =>
      [2, 10, 30].map((min) => [f.before(min), f.now(min)]),
    ),
    seen: readingsSeen(told, layPlan(told)),
    woven: clock && woven(clock, [clock]).map((b) => ({ startMin: b.startMin, endMin: b.endMin })),
    earliest: clock?.acts.map((a) => earliestOf(plan, clock, a)),
    free: clock && freeOf(clock, 1),
    needs: clock && needsOf(plan, clock),
    afterwards: computed.recipe && afterwards(plan, computed.recipe),
    late: late.steps.map((s) => (s.kind === 'pour' ? [s.landing.fallMm, s.roughMm ?? 0] : s.kind)),
    remedies: computed.warnings.flatMap((w) => w.remedies?.map((r) => r.label) ?? []),
  };
}

describe('figures of what is offered', () => {
  for (const [i, name] of ['Scree Steps', 'Heather on Peat', 'Slate Beds', 'Peat Furrows'].entries()) {
    it(`by the clock for ${name}`, () => {
      keptAs(`test/golden/figures/offered-${i}.txt`, figuresOf(clockOf(named(name)), true));
    });
    it(`by the clock for ${name} with what is set more rarely`, () => {
      keptAs(
        `test/golden/figures/offered-rarer-${i}.txt`,
        figuresOf(clockOf(withRarer(named(name), i)), true),
      );
    });
  }

  it('of what is seen where the studio’s loaves are cut, pixel by pixel counted', () => {
    const rare = rareLoaves.map(([name, planOf]): Plan => ({ ...planOf(), name }));
    const seen = [...demoPlans(), ...rare].map((plan) => {
      const [laid] = computePlan(plan).moulds;
      const { most } = laid.geometry;
      const ready = readyFrom(noneReady());
      const bars = singleBars(laid);
      const bar = bars[Math.floor(bars.length / 2)];
      return {
        name: plan.name,
        section: countedIn(sectionAt(laid, most.length * 0.37), ready),
        plan: countedIn(planAt(laid, laid.fill.heightMm * 0.7), ready),
        top: countedIn(topFace(laid), ready),
        bars: bars.map((b) => b.massG),
        bar: bar && sidesOf(bar).map((side) => countedIn(sideOfBar(laid, bar, side), ready)),
      };
    });
    keptAs('test/golden/figures/faces.txt', figuresOf(seen));
  });

  it('of colours', () => {
    const cream = bodyOfHex('#f0e6d0');
    const [heather, slate] = ['#7a5c86', '#4c5a66'].map(bodyOfHex);
    const six = STARTER_COLORANTS.filter((_, i) => i % 7 === 0);
    const states = AGES.flatMap((age) => [0, 0.5, 1].map((heat) => ({ age, heat, scented: heat > 0.4 })));
    const table = six.map((a) =>
      six.map((b) => difference(labOfHex(a.nature.colour), labOfHex(b.nature.colour))),
    );
    const ramps = [
      rampOf(heather!, slate!),
      rampOfDoses(
        cream,
        six.slice(0, 2).map((c, i) => ({
          pigment: shiftedPigment(c.nature, states.at(-1)!),
          fromGPerKg: i === 0 ? 0.4 : 6,
          toGPerKg: i === 0 ? 9 : 0.5,
        })),
      ),
    ];
    keptAs(
      'test/golden/figures/colours.txt',
      figuresOf({
        states: states.map((state) => ({
          base: hexOfBody(shiftedBase(cream, state, 1.5)),
          tints: STARTER_COLORANTS.map((c) =>
            labOfBody(
              tint(shiftedBase(cream, state, 0.5), [
                { pigment: shiftedPigment(c.nature, state), doseGPerKg: c.nature.doseGPerKg / 3 },
              ]),
            ),
          ),
        })),
        ramps: ramps.map((ramp) => ({
          even: evenSteps(ramp, 7),
          curved: weightedSteps(ramp, curveWeights([0.2, 0.3, 0.8], 6)),
        })),
        // ways that turn back on themselves: solved place by place
        turning: [
          ['#e0c030', '#5040b0'],
          ['#5040b0', '#90b030'],
        ].map(([from, to]) => evenSteps(rampOf(bodyOfHex(from!), bodyOfHex(to!)), 4)),
        halving: halving(6),
        orders: {
          most: contrastOrder(table),
          gentle: gentlestOrder(table, 1),
          least: leastStep(table, [3, 1, 4, 0, 2]),
        },
        wheel: six
          .map((c) => wheelOf(labOfHex(c.nature.colour)))
          .map((w, i, all) => [w, wheelName(w), stirredName(w, all[(i + 1) % all.length]!)]),
        eyes: DEFICIENCIES.map((d) => six.map((c) => seenWith(d.id, c.nature.colour))),
        matches: ['#7a9a6a', '#b5544c', '#3c3f46', '#e8c9d4'].map((hex) =>
          matchesFor(labOfHex(hex), cream, STARTER_COLORANTS, states.at(-3)!).map((m) => [
            m.mix,
            m.hex,
            m.difference,
          ]),
        ),
        carried: [1, 8, 30].map((g) => carryOver(heather!, g, slate!, 200)),
      }),
    );
  });
});
