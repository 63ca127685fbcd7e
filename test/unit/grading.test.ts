import { expect } from 'chai';
import fc from 'fast-check';
import { bodyOfHex, hexOfBody, labOfBody, type Body } from '../../src/core/colour/body.ts';
import { evenNewton } from '../../src/core/colour/evenNewton.ts';
import { difference } from '../../src/core/colour/difference.ts';
import { labOfHex } from '../../src/core/colour/lab.ts';
import { nearestDoses } from '../../src/core/colour/nearest.ts';
import { contrastOrder, gentlestOrder, leastStep, type Table } from '../../src/core/colour/order.ts';
import { pigmentFor, tint } from '../../src/core/colour/pigment.ts';
import { rampOf, type Ramp } from '../../src/core/colour/ramp.ts';
import {
  curveWeights,
  equalDose,
  evenSteps,
  halving,
  risingCurve,
  weightedSteps,
} from '../../src/core/colour/spacing.ts';
import { carryOver } from '../../src/core/colour/stirring.ts';
import { averageOf, balanced } from '../../src/core/colour/whitePoint.ts';
import { linearOfHex } from '../../src/core/colour/hex.ts';
import { blends } from '../../src/core/ombre/blends.ts';
import { onePot, type WantedPass } from '../../src/core/ombre/onePot.ts';
import { differencesOf } from '../../src/core/ombre/strip.ts';
import { toStep } from '../../src/core/units/scaleStep.ts';
import { teaspoons } from '../../src/core/units/spoons.ts';

const CREAM = bodyOfHex('#f0e6d0');

const coloured = (hex: string, dose: number): Body =>
  tint(CREAM, [{ pigment: pigmentFor(hex, 8, CREAM), doseGPerKg: dose }]);

/** Colours a soap colorant gives: not near black, not near the cream itself. */
const soapColours = fc
  .tuple(
    fc.integer({ min: 40, max: 200 }),
    fc.integer({ min: 40, max: 200 }),
    fc.integer({ min: 40, max: 180 }),
  )
  .map((parts) => `#${parts.map((n) => n.toString(16).padStart(2, '0')).join('')}`);

const ratio = (differences: readonly number[]): number => Math.max(...differences) / Math.min(...differences);

/**
 * How much the difference to a neighbour jumps at any of the places. CIEDE2000 is not continuous where two
 * hues are opposite: the mean hue turns over (Sharma, Wu & Dalal, "The CIEDE2000 color-difference formula",
 * Color Res. Appl. 2005, section on discontinuities). No grading can be even across such a place.
 */
const jumpOf = (ramp: Ramp, places: readonly number[]): number => {
  const near = 1e-4;
  return Math.max(
    ...places.slice(1, -1).flatMap((t, i) =>
      [places[i]!, places[i + 2]!].map((other) => {
        const to = (place: number): number => difference(ramp.labAt(place), ramp.labAt(other));
        return Math.abs(to(t * (1 + near)) - to(t * (1 - near)));
      }),
    ),
    0,
  );
};

describe('grading', () => {
  it('even steps: neighbours differ alike, largest over smallest below 1.02', () => {
    fc.assert(
      fc.property(soapColours, fc.integer({ min: 2, max: 24 }), (hex, layers) => {
        const ramp = rampOf(CREAM, coloured(hex, 10));
        const places = evenSteps(ramp, layers);
        expect(places).to.have.length(layers);
        expect(places[0]).to.equal(0);
        expect(places.at(-1)).to.equal(1);
        for (let i = 1; i < layers; i += 1) expect(places[i]!).to.be.above(places[i - 1]!);
        const steps = differencesOf(places.map(ramp.labAt));
        // a jump of the formula itself is all that may keep them apart
        expect(Math.max(...steps) - jumpOf(ramp, places)).to.be.below(1.02 * Math.min(...steps));
      }),
      { numRuns: 120, examples: [['#394d8e', 3]] },
    );
  });

  it('even steps from deep to pale are the same shades as from pale to deep', () => {
    const up = rampOf(CREAM, coloured('#7a2f68', 8));
    const down = rampOf(coloured('#7a2f68', 8), CREAM);
    const places = evenSteps(up, 8);
    const back = evenSteps(down, 8).toReversed();
    back.forEach((t, i) => expect(difference(down.labAt(t), up.labAt(places[i]!))).to.be.below(0.05));
  });

  it('places solved together make steps in proportion to any weights', () => {
    let together = 0;
    fc.assert(
      fc.property(
        soapColours,
        fc.double({ min: 2, max: 12, noNaN: true }),
        fc.array(fc.double({ min: 0.2, max: 3, noNaN: true }), { minLength: 1, maxLength: 22 }),
        (hex, dose, weights) => {
          const ramp = rampOf(CREAM, coloured(hex, dose));
          const places = evenNewton(ramp, weights, 1e-4);
          if (!places) return;
          together += 1;
          const labs = places.map((s) => ramp.labAt(ramp.at(s)));
          const sizes = weights.map((w, i) => difference(labs[i]!, labs[i + 1]!) / w);
          expect(places[0]).to.equal(0);
          expect(places.at(-1)).to.equal(1);
          // each step is right to a ten-thousandth of a difference
          const slack = 2.1e-4 / Math.min(...weights);
          expect(Math.max(...sizes) - Math.min(...sizes)).to.be.below(slack);
        },
      ),
      { seed: 23, numRuns: 200 },
    );
    expect(together).to.be.above(180);
  });

  it('equal dose is far from even, which is why it is not the first choice', () => {
    const ramp = rampOf(CREAM, coloured('#7a2f68', 8));
    expect(ratio(differencesOf(equalDose(8).map(ramp.labAt)))).to.be.above(5);
  });

  it('halving gives 50, 25, 12.5 percent, then none (common practice, no source)', () => {
    expect(halving(5)).to.deep.equal([0, 0.125, 0.25, 0.5, 1]);
  });

  it('a straight curve is even; a bent one bunches where it is flat', () => {
    const ramp = rampOf(CREAM, coloured('#3a4f9a', 6));
    const straight = weightedSteps(ramp, curveWeights([0.25, 0.5, 0.75], 7));
    evenSteps(ramp, 7).forEach((t, i) => expect(straight[i]!).to.be.closeTo(t, 1e-4));
    const slow = differencesOf(weightedSteps(ramp, curveWeights([0.08, 0.2, 0.5], 9)).map(ramp.labAt));
    expect(slow.at(-1)!).to.be.above(3 * slow[0]!);
    const wanted = curveWeights([0.08, 0.2, 0.5], 9);
    slow.forEach((d, i) =>
      expect(d / slow[0]!).to.be.closeTo(wanted[i]! / wanted[0]!, 0.02 * (wanted[i]! / wanted[0]!)),
    );
  });

  it('a curve through rising knots rises everywhere and meets its knots', () => {
    const knots = fc
      .tuple(fc.nat(100), fc.nat(100), fc.nat(100))
      .map((k) => k.map((x) => x / 100).sort() as [number, number, number]);
    fc.assert(
      fc.property(knots, (heights) => {
        const sorted = heights.toSorted((a, b) => a - b) as [number, number, number];
        const curve = risingCurve(sorted);
        let last = 0;
        for (let i = 0; i <= 100; i += 1) {
          expect(curve(i / 100)).to.be.at.least(last - 1e-9);
          last = curve(i / 100);
        }
        sorted.forEach((h, i) => expect(curve((i + 1) / 4)).to.be.closeTo(h, 1e-9));
      }),
    );
  });

  it('a ramp between two alike colours places layers all the same', () => {
    expect(evenSteps(rampOf(CREAM, CREAM), 4)).to.deep.equal(equalDose(4));
  });
});

describe('coming near a colour', () => {
  it('finds the doses that made a colour', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.3, max: 9, noNaN: true }),
        fc.double({ min: 0, max: 9, noNaN: true }),
        (a, b) => {
          const one = pigmentFor('#7d4f86', 8, CREAM);
          const white = pigmentFor('#f7f2e5', 6, CREAM);
          const made = tint(CREAM, [
            { pigment: one, doseGPerKg: a },
            { pigment: white, doseGPerKg: b },
          ]);
          const found = nearestDoses(labOfBody(made), CREAM, [
            { pigment: one, mostGPerKg: 10 },
            { pigment: white, mostGPerKg: 10 },
          ]);
          expect(found.difference).to.be.below(0.3);
        },
      ),
      { numRuns: 40 },
    );
  });

  it('says how far away the nearest is when a colour is out of reach', () => {
    const found = nearestDoses(labOfHex('#2f8f4a'), CREAM, [
      { pigment: pigmentFor('#7d4f86', 8, CREAM), mostGPerKg: 10 },
    ]);
    expect(found.difference).to.be.above(15);
    expect(found.doses[0]).to.be.within(0, 10);
    expect(difference(labOfHex(hexOfBody(found.body)), labOfHex('#2f8f4a'))).to.be.closeTo(
      found.difference,
      1,
    );
  });
});

describe('orders', () => {
  const orders = (n: number): number[][] =>
    n === 0
      ? [[]]
      : orders(n - 1).flatMap((o) => Array.from({ length: n }, (_, i) => o.toSpliced(i, 0, n - 1)));
  const tables = (n: number, symmetric: boolean): fc.Arbitrary<Table> =>
    fc
      .array(fc.array(fc.double({ min: 0, max: 50, noNaN: true }), { minLength: n, maxLength: n }), {
        minLength: n,
        maxLength: n,
      })
      .map((rows) => rows.map((row, i) => row.map((x, j) => (symmetric ? (i < j ? x : rows[j]![i]!) : x))));

  it('contrast: the largest smallest neighbour difference of all orders', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 2, max: 6 }).chain((n) => tables(n, true)),
        (table) => {
          const best = Math.max(...orders(table.length).map((o) => leastStep(table, o)));
          const found = contrastOrder(table);
          expect(found.toSorted((a, b) => a - b)).to.deep.equal(table.map((_, i) => i));
          expect(leastStep(table, found)).to.equal(best);
        },
      ),
    );
  });

  it('whisk: the least sum of shifts of all orders from the first', () => {
    const cost = (table: Table, o: readonly number[]): number =>
      o.slice(1).reduce((sum, to, i) => sum + table[o[i]!]![to]!, 0);
    fc.assert(
      fc.property(
        fc.integer({ min: 2, max: 6 }).chain((n) => tables(n, false)),
        (table) => {
          const all = orders(table.length).filter((o) => o[0] === 0);
          const found = gentlestOrder(table, 0);
          expect(found[0]).to.equal(0);
          expect(cost(table, found)).to.be.closeTo(Math.min(...all.map((o) => cost(table, o))), 1e-9);
        },
      ),
    );
  });

  it('still gives an order of everything where there are too many to search', () => {
    const many: Table = Array.from({ length: 16 }, (_, i) =>
      Array.from({ length: 16 }, (_, j) => Math.abs(i - j)),
    );
    expect(contrastOrder(many).toSorted((a, b) => a - b)).to.deep.equal(many.map((_, i) => i));
    expect(gentlestOrder(many, 3)[0]).to.equal(3);
  });

  it('orange left in a jug turns a small yellow pot more than a large one (common practice, no source)', () => {
    const orange = bodyOfHex('#d9762b');
    const yellow = bodyOfHex('#efd04a');
    expect(carryOver(orange, 5, yellow, 60)).to.be.above(2);
    expect(carryOver(orange, 5, yellow, 60)).to.be.above(2 * carryOver(orange, 5, yellow, 400));
    expect(carryOver(orange, 0, yellow, 60)).to.equal(0);
  });
});

describe('one pot, darkened as it empties', () => {
  const exact = {
    bulk: [0, 0],
    round: (g: number) => g,
    roundBatter: (g: number) => g,
    roundUp: (g: number) => g,
    respace: () => undefined,
  };
  const rising = fc
    .array(
      fc.tuple(fc.double({ min: 0, max: 3, noNaN: true }), fc.double({ min: 20, max: 400, noNaN: true })),
      {
        minLength: 2,
        maxLength: 24,
      },
    )
    .map((list) => {
      let c = 0;
      return list.map(([step, pourG]): WantedPass => ({ wanted: [(c += step), 2 + c / 3], pourG }));
    });

  it('conserves colorant: additions = poured at their doses + what is left at the last', () => {
    fc.assert(
      fc.property(rising, fc.double({ min: 0, max: 60, noNaN: true }), (layers, left) => {
        const batterG = layers.reduce((sum, l) => sum + l.pourG, left);
        const { passes, startG } = onePot(layers, { ...exact, batterG });
        expect(startG).to.be.closeTo(batterG, 1e-9 * batterG);
        for (const j of [0, 1]) {
          const added = passes.reduce((sum, p) => sum + p.addedG[j]!, 0);
          const gone = passes.reduce((sum, p) => sum + (p.concentrations[j]! * p.pouredG) / 1000, 0);
          const stays = (passes.at(-1)!.concentrations[j]! * passes.at(-1)!.leftG) / 1000;
          expect(Math.abs(added - gone - stays)).to.be.below(1e-9 * Math.max(1, added));
        }
        // a dose that rises by less than a billionth stays as it is; several in a row fall behind by as much
        // each
        const most = Math.max(1, layers.at(-1)!.wanted[0]!) * layers.length;
        passes.forEach((p, i) =>
          expect(p.concentrations[0]!).to.be.closeTo(layers[i]!.wanted[0]!, 1e-9 * most),
        );
        expect(passes.at(-1)!.leftG).to.be.closeTo(left, 1e-8);
      }),
    );
  });

  it('counts colorant and carrier in the pot: what goes in comes out, and every pass has its dose', () => {
    fc.assert(
      fc.property(
        rising,
        fc.double({ min: 0, max: 60, noNaN: true }),
        fc.tuple(fc.double({ min: 1, max: 8, noNaN: true }), fc.double({ min: 1, max: 8, noNaN: true })),
        (layers, left, bulk) => {
          const batterG = layers.reduce((sum, l) => sum + l.pourG, left);
          // 24 steps of at most 3 g/kg and 8 g brought with each: a pot of 60 % colorant at the most
          const { passes, startG } = onePot(layers, { ...exact, bulk, batterG });
          const brought = passes.reduce((s, p) => s + p.addedG[0]! * bulk[0] + p.addedG[1]! * bulk[1], 0);
          expect(startG + brought).to.be.closeTo(batterG, 1e-8 * batterG);
          passes.forEach((p, i) => {
            expect(p.concentrations[0]!).to.be.closeTo(layers[i]!.wanted[0]!, 1e-8);
            expect(p.concentrations[1]!).to.be.closeTo(layers[i]!.wanted[1]!, 1e-8);
          });
          expect(passes.at(-1)!.leftG).to.be.closeTo(left, 1e-7);
        },
      ),
    );
  });

  it('worked by hand: 1 g brings 5 g with it; two passes of 100 g at 0 and 10 g/kg start at 195 g', () => {
    // the second pass is 95 g of batter with 1 g of colorant in 4 g of carrier
    const layers: WantedPass[] = [0, 10].map((c) => ({ wanted: [c], pourG: 100 }));
    const { passes, startG } = onePot(layers, { ...exact, bulk: [5], batterG: 200 });
    expect(startG).to.be.closeTo(195, 1e-9);
    expect(passes[1]!.addedG[0]!).to.be.closeTo(1, 1e-9);
    expect(passes[1]!.leftG).to.be.closeTo(0, 1e-9);
  });

  it('a dose that is to stay is not topped up by pinches while another colorant rises', () => {
    const layers: WantedPass[] = [0, 2, 4, 6, 8].map((c) => ({ wanted: [c, 3], pourG: 120 }));
    const { passes } = onePot(layers, { ...exact, bulk: [5.6, 5.6], batterG: 620 });
    const topUps = passes.slice(1).map((p) => p.addedG[1]!);
    expect(topUps.filter((g) => g === 0)).to.have.length.at.least(2);
    for (const p of passes) expect(p.concentrations[1]!).to.be.within(3 * 0.98, 3.0001);
  });

  it('goes paler with plain batter, conserving batter too', () => {
    const layers: WantedPass[] = [0, 2, 4, 3, 1.5].map((c) => ({ wanted: [c], pourG: 100 }));
    const solved = onePot(layers, { ...exact, batterG: 520 });
    const plain = solved.passes.reduce((sum, p) => sum + p.plainG, 0);
    expect(solved.impossibleAt).to.equal(undefined);
    expect(solved.startG + plain).to.be.closeTo(520, 1e-9);
    expect(solved.passes[4]!.concentrations[0]!).to.be.closeTo(1.5, 1e-9);
    expect(solved.passes[3]!.plainG).to.be.above(0);
    expect(solved.passes[2]!.plainG).to.equal(0);
  });

  it('says which pass cannot be had: a colorant cannot be taken out of a pot', () => {
    const layers: WantedPass[] = [0, 4, 0].map((c) => ({ wanted: [c], pourG: 100 }));
    expect(onePot(layers, { ...exact, batterG: 300 }).impossibleAt).to.equal(2);
  });

  it('worked by hand: three passes of 200 g at 0, 2 and 5 g/kg take 0, 0.8 and 0.6 g', () => {
    const layers: WantedPass[] = [0, 2, 5].map((c) => ({ wanted: [c], pourG: 200 }));
    const { passes } = onePot(layers, { ...exact, batterG: 600 });
    expect(passes.map((p) => Number(p.addedG[0]!.toFixed(9)))).to.deep.equal([0, 0.8, 0.6]);
    expect(passes.map((p) => p.holdsG)).to.deep.equal([600, 400, 200]);
  });

  it('what if more was poured: the rest share what is left, at the doses planned', () => {
    const layers: WantedPass[] = [0, 2, 4].map((c) => ({ wanted: [c], pourG: 260 }));
    const changed = layers.with(0, { ...layers[0]!, actual: { pouredG: 310 } });
    const { passes } = onePot(changed, { ...exact, batterG: 800 });
    expect(passes[0]!.pouredG).to.equal(310);
    expect(passes[1]!.pouredG).to.be.closeTo(235, 1e-9);
    expect(passes[2]!.pouredG).to.be.closeTo(235, 1e-9);
    expect(passes[2]!.leftG).to.be.closeTo(20, 1e-9);
    expect(passes[1]!.concentrations[0]!).to.be.closeTo(2, 1e-9);
    expect(passes[1]!.addedG[0]!).to.be.closeTo((2 * 490) / 1000, 1e-9);
  });

  it('what if more was added: the passes after it are spaced anew from there', () => {
    const layers: WantedPass[] = [0, 2, 4].map((c) => ({ wanted: [c], pourG: 200 }));
    const changed = layers.with(1, { ...layers[1]!, actual: { addedG: [1.4] } });
    let asked: readonly unknown[] = [];
    const { passes } = onePot(changed, {
      ...exact,
      batterG: 600,
      respace: (...all) => {
        asked = all;
        return [[5]];
      },
    });
    expect(asked.slice(1)).to.deep.equal([2, 1]);
    expect((asked[0] as number[])[0]).to.be.closeTo(3.5, 1e-9);
    expect(passes[1]!.concentrations[0]).to.be.closeTo(3.5, 1e-9);
    expect(passes[2]!.concentrations[0]).to.be.closeTo(5, 1e-9);
  });

  it('what if more was added of one: another whose dose stays is not topped up by pinches', () => {
    const steps = [0, 2, 4, 6, 8].map((c) => ({ wanted: [c, 3], pourG: 100 }));
    const { passes } = onePot(
      steps.map((s, i) => (i === 2 ? { ...s, actual: { addedG: [1.5, 0] } } : s)),
      {
        ...exact,
        batterG: 500,
        bulk: [5, 5],
        respace: (now, _next, remaining) =>
          Array.from({ length: remaining }, (_, k) =>
            now.map((c, j) => c + (((j === 0 ? 8 : 3) - c) * (k + 1)) / remaining),
          ),
      },
    );
    expect(passes.slice(3).map((p) => p.addedG[1])).to.deep.equal([0, 0]);
    expect(passes[4]!.concentrations[1]!).to.be.closeTo(3, 3 * 0.05);
    expect(passes[4]!.concentrations[0]!).to.be.closeTo(8, 0.05);
    // half of it missing is no pinch: it is made good
    const short = onePot(
      steps.map((s, i) =>
        i === 1 ? { ...s, actual: { addedG: [1, 0] } } : i === 0 ? { ...s, actual: { addedG: [0, 0.6] } } : s,
      ),
      {
        ...exact,
        batterG: 500,
        bulk: [5, 5],
        respace: (now, _next, remaining) =>
          Array.from({ length: remaining }, (_, k) =>
            now.map((c, j) => c + (((j === 0 ? 8 : 3) - c) * (k + 1)) / remaining),
          ),
      },
    ).passes;
    expect(short[4]!.concentrations[1]!).to.be.closeTo(3, 3 * 0.05);
  });

  it('never pours more than it holds', () => {
    const layers: WantedPass[] = [0, 2].map((c) => ({ wanted: [c], pourG: 200 }));
    const changed = layers.with(0, { ...layers[0]!, actual: { pouredG: 900 } });
    const { passes } = onePot(changed, { ...exact, batterG: 400 });
    expect(passes[0]!.pouredG).to.equal(400);
    expect(passes[1]!.pouredG).to.equal(0);
  });
});

describe('master blends', () => {
  const round = (g: number): number => toStep(g, 1);

  it('draws add up to each layer, and the stocks to the draws with their loss', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.double({ min: 0, max: 1, noNaN: true }), fc.integer({ min: 40, max: 400 })), {
          minLength: 2,
          maxLength: 20,
        }),
        fc.integer({ min: 0, max: 10 }),
        (list, loss) => {
          const made = blends(
            list.map(([t, massG]) => ({ t, massG })),
            round,
            loss,
          );
          made.draws.forEach((d, i) => {
            expect(d.firstG + d.lastG).to.equal(list[i]![1]);
            expect(Math.abs(d.lastG - list[i]![0] * list[i]![1])).to.be.at.most(0.5 + 1e-9);
          });
          const drawn = made.draws.reduce((sum, d) => sum + d.lastG, 0);
          expect(made.lastG).to.be.closeTo(drawn * (1 + loss / 100), 0.51);
        },
      ),
    );
  });

  it('50, 25, 12.5, 0 percent of 200 g are 100, 50, 25 and 0 g (trade example, common practice, no source)', () => {
    const made = blends(
      [0.5, 0.25, 0.125, 0].map((t) => ({ t, massG: 200 })),
      round,
      0,
    );
    expect(made.draws.map((d) => d.lastG)).to.deep.equal([100, 50, 25, 0]);
    expect(made.lastG).to.equal(175);
    expect(made.firstG).to.equal(625);
  });

  it('after a layer that took more, the others keep their ratio and neither stock runs out', () => {
    const made = blends(
      [
        { t: 0.5, massG: 200, actualG: 300 },
        { t: 0.25, massG: 200 },
        { t: 0.75, massG: 200 },
      ],
      round,
      0,
    );
    const drawn = (side: 'firstG' | 'lastG'): number => made.draws.reduce((sum, d) => sum + d[side], 0);
    expect(drawn('firstG')).to.be.at.most(made.firstG + 1);
    expect(drawn('lastG')).to.be.at.most(made.lastG + 1);
    expect(made.draws[1]!.lastG / (made.draws[1]!.lastG + made.draws[1]!.firstG)).to.be.closeTo(0.25, 0.01);
  });
});

describe('spoons and photographs', () => {
  it('writes level teaspoons to the eighth', () => {
    expect(teaspoons(2.6, 2.6)).to.equal('1 tsp');
    expect(teaspoons(3.3, 2.6)).to.equal('1 1/4 tsp');
    expect(teaspoons(0.3, 2.6)).to.equal('1/8 tsp');
    expect(teaspoons(0.05, 2.6)).to.equal('a pinch');
    expect(teaspoons(0, 2.6)).to.equal('none');
  });

  it('takes the colour of the light out of a photograph', () => {
    // a grey card of half the paper's reflectance, both under a warm light
    const light = [1, 0.85, 0.6] as const;
    const paper = light.map((x) => 0.8 * x) as [number, number, number];
    const card = light.map((x) => 0.4 * x) as [number, number, number];
    const hex = balanced(card, paper)!;
    const [l, a, b] = labOfHex(hex);
    expect(Math.hypot(a, b)).to.be.below(0.6);
    expect(linearOfHex(hex)[0]).to.be.closeTo(0.45, 0.005);
    expect(l).to.be.within(70, 76);
    expect(balanced(card, [0.01, 0.01, 0.01])).to.equal(undefined);
    expect(balanced(linearOfHex('#7d4f86'), undefined)).to.equal('#7d4f86');
  });

  it('averages light, not numbers: a chequer of black and white is a middle grey of #bcbcbc', () => {
    const pixels = [0, 0, 0, 255, 255, 255, 255, 255];
    expect(balanced(averageOf(pixels), undefined)).to.equal('#bcbcbc');
  });
});
