import { expect } from 'chai';
import { difference } from '../../src/core/colour/difference.ts';
import { chromaOf, labOfHex, type Lab } from '../../src/core/colour/lab.ts';
import type { Nature } from '../../src/core/colorant/schema.ts';
import { STARTER_COLORANTS } from '../../src/core/colorant/starters.ts';
import { setClock } from '../../src/core/edit/clock.ts';
import { addToPot, describeAs, mixPot, setDose, takeFromPot } from '../../src/core/edit/colorants.ts';
import { contrastChoice } from '../../src/core/edit/contrast.ts';
import { setEnd } from '../../src/core/edit/ombre.ts';
import { addPot, removePot, updatePot } from '../../src/core/edit/pots.ts';
import { readPlanValue } from '../../src/core/exchange/planValue.ts';
import type { SoapState } from '../../src/core/look/state.ts';
import { coloursOf } from '../../src/core/ombre/coloursOf.ts';
import type { Plan } from '../../src/core/plan/planSchema.ts';
import { computePlan } from '../../src/core/computed/compute.ts';
import { told } from '../support/told.ts';
import { dispersals, pottingOrder } from '../../src/core/procedure/mixing.ts';
import { ombrePlan, potMixed, starter } from '../support/colours.ts';
import { fragrance } from '../support/additions.ts';
import { basePlan, boxPlan, rest } from '../support/plans.ts';

const CURED: SoapState = { age: 'cured', heat: 0, scented: true };

const labOf = (plan: Plan, state: SoapState, pot = 'p1'): Lab =>
  labOfHex(coloursOf(plan, state).pots.get(pot)!);

const two = (): Plan => boxPlan([rest(), rest()]);

/** The first pot with one colorant whose nature is changed. */
const withNature = (id: string, dose: number, change: Partial<Nature>): Plan => {
  const plan = potMixed(two(), { [id]: dose });
  return {
    ...plan,
    colorants: plan.colorants.map((c) => (c.nature ? { ...c, nature: { ...c.nature, ...change } } : c)),
  };
};

const codes = (plan: Plan): string[] => computePlan(plan).warnings.map((w) => w.code);

const find = (plan: Plan, code: string) => {
  const found = computePlan(plan).warnings.find((w) => w.code === code);
  if (!found) throw new Error(`no ${code} among ${codes(plan).join(', ')}`);
  return found;
};

describe('how a pot will look', () => {
  it('a pot without colorants is plain soap, and olive oil makes it yellower than coconut', () => {
    const of = (oil: string): Lab => {
      const plan = potMixed(two(), {});
      return labOf({ ...plan, batter: { ...plan.batter, oils: [{ oil, percent: 100 }] } }, CURED);
    };
    expect(of('olive')[2]).to.be.above(of('coconut')[2] + 5);
    const given = potMixed(two(), {});
    const own = { ...given, batter: { ...given.batter, colour: '#e8d9b0' } };
    expect(difference(labOf(own, CURED), labOfHex('#e8d9b0'))).to.be.below(0.6);
  });

  it('more colorant is deeper, more white is lighter', () => {
    const l = (doses: Record<string, number>): number => labOf(potMixed(two(), doses), CURED)[0];
    expect(l({ slate: 6 })).to.be.below(l({ slate: 2 }));
    expect(l({ slate: 6, 'white-oil': 6 })).to.be.above(l({ slate: 6 }));
  });

  it('gelling deepens, a hot oven pales what it pales, and curing fades what fades', () => {
    const slate = potMixed(two(), { slate: 3 });
    expect(labOf(slate, { ...CURED, heat: 0.5 })[0]).to.be.below(labOf(slate, CURED)[0]);
    const yellow = withNature('gorse-dye', 1, { palesPercent: 60, fadesPercent: 0 });
    const calm = withNature('gorse-dye', 1, { palesPercent: 0, fadesPercent: 0 });
    expect(chromaOf(labOf(yellow, { ...CURED, heat: 1 }))).to.be.below(
      chromaOf(labOf(calm, { ...CURED, heat: 1 })) - 5,
    );
    const fading = withNature('spirulina', 10, { fadesPercent: 60, palesPercent: 0 });
    expect(labOf(fading, CURED)[0]).to.be.above(labOf(fading, { ...CURED, age: 'cut' })[0]);
  });

  it('a colorant that fades looks as its own test bar when it has cured: the bar had', () => {
    const { nature } = starter('spirulina');
    for (const fadesPercent of [0, 40, 70]) {
      const plan = withNature('spirulina', nature.doseGPerKg, { fadesPercent, palesPercent: 0 });
      // on plain soap as pale as the bar's
      const onBar = { ...plan, batter: { ...plan.batter, colour: nature.base } };
      expect(difference(labOf(onBar, CURED), labOfHex(nature.colour)), `${fadesPercent} %`).to.be.below(0.7);
    }
  });

  it('a colour that morphs is another at the pour, and back at the cut if it comes back', () => {
    const back = withNature('pool-green', 6, { morph: { colour: '#a08a50', returns: true } });
    const gone = withNature('pool-green', 6, { morph: { colour: '#a08a50', returns: false } });
    const pour: SoapState = { ...CURED, age: 'pour' };
    expect(difference(labOf(back, pour), labOf(gone, pour))).to.be.below(1e-6);
    expect(difference(labOf(back, pour), labOf(back, CURED))).to.be.above(10);
    expect(difference(labOf(back, CURED), labOf(gone, CURED))).to.be.above(10);
    expect(codes(gone)).to.include('does-not-survive');
    expect(codes(back)).to.not.include('does-not-survive');
  });

  it('vanillin tans pale pots much and deep pots little, over weeks (common practice, no source)', () => {
    const scented = (plan: Plan): Plan => ({
      ...plan,
      batter: {
        ...plan.batter,
        fragrances: [fragrance(4, { name: 'Moor honey', limitPercent: 9, vanillinPercent: 6 })],
      },
    });
    const tan = (plan: Plan, age: SoapState['age']): number =>
      difference(labOf(plan, { ...CURED, age }), labOf(plan, { ...CURED, age, scented: false }));
    const pale = scented(potMixed(two(), {}));
    const deep = scented(potMixed(two(), { peat: 8 }));
    expect(tan(pale, 'pour')).to.equal(0);
    expect(tan(pale, 'cured')).to.be.above(15);
    expect(tan(pale, 'cured')).to.be.above(tan(pale, 'cut'));
    expect(tan(deep, 'cured')).to.be.below(tan(pale, 'cured') / 3);
    expect(find(pale, 'fragrance-tans').message).to.match(/6 % vanillin.*A by \d/);
  });

  it('a colour given by hand is kept in every state, until the pot is mixed', () => {
    const given = updatePot(potMixed(two(), { heather: 5 }), 'p1', { colour: '#123456' });
    for (const age of ['pour', 'cut', 'cured'] as const)
      expect(difference(labOf(given, { ...CURED, age }), labOfHex('#123456'))).to.be.below(0.7);
    expect(difference(labOf(mixPot(given, 'p1'), CURED), labOfHex('#123456'))).to.be.above(10);
  });
});

describe('colorants in pots', () => {
  it('adds at the stated dose, changes it, takes it out, and keeps the plan’s list to what is used', () => {
    const one = addToPot(two(), 'p1', starter('heather'));
    expect(one.colorants.map((c) => c.id)).to.deep.equal(['heather']);
    // it shows at once what is in it, whatever it was drawn in
    expect(two().pots[0]!.colour).to.not.equal(undefined);
    expect(one.pots[0]!.colour).to.equal(undefined);
    expect(one.pots[0]!.colorants).to.deep.equal([{ colorant: 'heather', doseGPerKg: 8 }]);
    expect(setDose(one, 'p1', 'heather', 3).pots[0]!.colorants[0]!.doseGPerKg).to.equal(3);
    expect(takeFromPot(one, 'p1', 'heather').colorants).to.deep.equal([]);
  });

  it('describes a colorant known by its name alone, everywhere at once', () => {
    const named: Plan = {
      ...two(),
      colorants: [{ id: 'k1', name: 'Purple powder' }],
      pots: two().pots.map((p) => ({ ...p, colorants: [{ colorant: 'k1', doseGPerKg: 4 }] })),
    };
    const known = describeAs(named, 'k1', starter('heather'));
    expect(known.colorants.map((c) => c.id)).to.deep.equal(['heather']);
    expect(known.pots.every((p) => p.colorants[0]!.colorant === 'heather')).to.equal(true);
  });

  it('every starter is a colorant its own schema takes, with a colour of its own', () => {
    const ids = new Set(STARTER_COLORANTS.map((c) => c.id));
    expect(ids.size).to.equal(STARTER_COLORANTS.length);
    for (const c of STARTER_COLORANTS)
      expect(c.nature.doseGPerKg, c.name).to.be.at.most(c.nature.usualGPerKg);
  });
});

describe('mixing order', () => {
  const four = (): Plan => {
    const plan = boxPlan([rest(), rest()]);
    const pots = ['peat', 'white-oil', 'weir-copper', 'bracken'].map((id, i) => ({
      id: `p${i + 1}`,
      letter: 'ABCD'[i]!,
      name: id,
      stage: 1,
      colorants: [{ colorant: id, doseGPerKg: 5 }],
    }));
    return {
      ...plan,
      pots,
      colorants: pots.map((p) => ({ id: p.name, name: p.name, nature: starter(p.name).nature })),
      steps: pots.flatMap((p, i) => ({ ...plan.steps[0]!, id: `s${i}`, pot: p.id }) as Plan['steps'][number]),
    };
  };

  it('goes from the lightest pot to the darkest, with little carried over', () => {
    const computed = computePlan(setClock(four(), { colouring: 'all-first' }));
    const order = pottingOrder(computed, computed.weights!);
    expect(order.map((s) => s.pot.letter).join('')).to.equal('BDCA');
    expect(Math.max(...order.map((s) => s.shift))).to.be.below(2);
  });

  it('is that of the pours where each is coloured before its own: what the whisk brings shows by then', () => {
    const plan = four();
    const computed = computePlan({ ...plan, steps: plan.steps.toReversed() });
    const order = pottingOrder(computed, computed.weights!);
    expect(order.map((s) => s.pot.letter).join('')).to.equal('DCBA');
    // from the black pot into the white one
    expect(Math.max(...order.map((s) => s.shift))).to.be.above(2);
  });

  it('disperses each colorant once, white first, with its carrier', () => {
    const computed = computePlan(four());
    const list = dispersals(computed, computed.weights!);
    expect(list).to.have.length(4);
    expect(list[0]!.colorant.id).to.equal('white-oil');
    // 5 ml to the gram, its mass to the fine scale's step for each pot
    expect(list[0]!.carrier!.ml).to.be.closeTo(list[0]!.massG * 5, 0.1 / 0.92);
    const total = computed.weights!.pots.flatMap((p) => p.colorants).reduce((s, c) => s + c.massG, 0);
    expect(list.reduce((s, d) => s + d.massG, 0)).to.be.closeTo(total, 1e-6);
  });

  it('offers the order of pours with the most contrast', () => {
    const plan = four();
    const choice = contrastChoice(plan, computePlan(plan).colours.pours)!;
    expect(choice.best).to.be.at.least(choice.now);
    const after = choice.apply(plan);
    const now = contrastChoice(after, computePlan(after).colours.pours)!;
    expect(now.now).to.be.closeTo(choice.best, 1e-9);
    expect(contrastChoice(two(), computePlan(two()).colours.pours)).to.equal(undefined);
  });
});

describe('advice on colours', () => {
  it('neighbours too close to read as a line: an order, or a line between, cures it', () => {
    const plan: Plan = {
      ...boxPlan([rest(), rest(), rest()]),
      pots: [
        { id: 'p1', letter: 'A', name: 'Chalk', colour: '#ece4d2', stage: 1, colorants: [] },
        { id: 'p2', letter: 'B', name: 'Cream', colour: '#efe6d0', stage: 1, colorants: [] },
        { id: 'p3', letter: 'C', name: 'Peat', colour: '#4b3a30', stage: 1, colorants: [] },
      ],
    };
    const steps = plan.steps.map((s, i) => (s.kind === 'pour' ? { ...s, pot: `p${i + 1}` } : s));
    const close = { ...plan, steps };
    const warning = find(close, 'neighbours-close');
    expect(warning.message).to.match(
      /Between pours 1 and 2 \(pots A and B\) the step is (hardly seen|soft) when cured \([12](\.\d)?;/,
    );
    expect(warning.remedies).to.have.length(2);
    for (const remedy of warning.remedies!)
      expect(codes(remedy.apply(close)), remedy.label).to.not.include('neighbours-close');
  });

  it('a pale purple that will grey: white instead of less keeps more of it', () => {
    const plan = potMixed(two(), { heather: 0.6 });
    const warning = find(plan, 'pale-purple-greys');
    expect(warning.message).to.match(
      /greys it to (no purple at all|hardly a purple)\. .* stays a clear purple/,
    );
    expect(codes(warning.remedies![0]!.apply(plan))).to.not.include('pale-purple-greys');
    expect(codes(potMixed(two(), { heather: 8 }))).to.not.include('pale-purple-greys');
    expect(codes(potMixed(two(), { bracken: 0.5 }))).to.not.include('pale-purple-greys');
  });

  it('opposites stirred together in one pot or along an ombre, said with what they become; not layers side by side', () => {
    const inPot = (one: string, other: string): string[] => codes(potMixed(two(), { [one]: 3, [other]: 3 }));
    const opposites = [
      ['ultramarine-blue', 'weir-copper'],
      ['oxide-red', 'chrome-green'],
      ['heather', 'oxide-yellow'],
      ['heather', 'gorse-dye'],
    ] as const;
    for (const pair of opposites) expect(inPot(pair[0], pair[1]), pair.join()).to.include('mud-in-pot');
    const friends = [
      ['ultramarine-blue', 'oxide-yellow'],
      ['ultramarine-blue', 'gorse-dye'],
      ['weir-copper', 'bracken'],
      ['oxide-red', 'oxide-yellow'],
      ['oxide-red', 'heather'],
      ['pool-green', 'white-oil'],
    ] as const;
    for (const pair of friends) expect(inPot(pair[0], pair[1]), pair.join()).to.not.include('mud-in-pot');
    const purple = potMixed(two(), { heather: 3, 'oxide-yellow': 3 });
    expect(find(purple, 'mud-in-pot').message).to.match(
      /opposite on the painter’s wheel \(1[5-8]\d° apart\).*become a brown/,
    );
    // a trace that would not be seen alone is no colour of the pot
    expect(codes(potMixed(two(), { heather: 6, 'oxide-yellow': 0.02 }))).to.not.include('mud-in-pot');
    const beside: Plan = {
      ...two(),
      pots: two().pots.map((p, i) => ({ ...p, colour: i === 0 ? '#2b5fa8' : '#e07a1e' })),
    };
    expect(codes(beside).filter((c) => c.startsWith('mud'))).to.deep.equal([]);
    const through = setEnd(
      setEnd(
        ombrePlan(6),
        'o1',
        'from',
        [{ colorant: 'oxide-yellow', doseGPerKg: 4 }],
        [starter('oxide-yellow')],
      ),
      'o1',
      'to',
      [{ colorant: 'heather', doseGPerKg: 8 }],
    );
    expect(codes(through)).to.include('mud-in-ombre');
    expect(codes(ombrePlan(6))).to.not.include('mud-in-ombre');
  });

  it('a blue is not called a purple, and white in place of less never takes more than is usual', () => {
    for (const dose of [0.2, 0.5, 1, 2])
      expect(codes(potMixed(two(), { 'ultramarine-blue': dose }))).to.not.include('pale-purple-greys');
    let told = 0;
    for (const id of ['heather', 'heather-2', 'ultramarine-violet'])
      for (const dose of [0.2, 0.4, 0.8, 1.2, 1.6]) {
        const plan = potMixed(two(), { [id]: dose });
        const warning = computePlan(plan).warnings.find((w) => w.code === 'pale-purple-greys');
        if (!warning) continue;
        told += 1;
        expect(codes(warning.remedies![0]!.apply(plan)), `${id} ${dose}`).to.not.include('over-usual-dose');
      }
    expect(told).to.be.above(2);
  });

  it('pots that are only painted are told of, with the sheet’s colour', () => {
    const warning = find(two(), 'painted-only');
    expect(warning.message).to.match(/given by hand but take.* no colorant.*poured plain/);
    expect(codes(warning.remedies![0]!.apply(two()))).to.not.include('painted-only');
    // a painted colour close to plain soap is plain soap
    const plain = computePlan(warning.remedies![0]!.apply(two())).colours.pots.get('p1')!;
    const cream: Plan = { ...two(), pots: two().pots.map((p) => ({ ...p, colour: plain })) };
    expect(codes(cream)).to.not.include('painted-only');
    expect(codes(addToPot(addToPot(two(), 'p1', starter('slate')), 'p2', starter('slate')))).to.not.include(
      'painted-only',
    );
  });

  it('over the usual dose, in a pot', () => {
    const plan = potMixed(two(), { indigo: 9 });
    const warning = find(plan, 'over-usual-dose');
    expect(warning.message).to.contain('9 g/kg');
    expect(warning.message).to.contain('5 g/kg');
    expect(codes(warning.remedies![0]!.apply(plan))).to.not.include('over-usual-dose');
  });

  it('yellow in a hot oven', () => {
    const hot = (what: 'warm-oven' | 'leave-cool'): Plan => {
      const plan = potMixed(two(), { 'gorse-dye': 1 });
      return { ...plan, steps: [...plan.steps, { id: 'f1', kind: 'finish', what }] };
    };
    const warning = find(hot('warm-oven'), 'pales-in-heat');
    expect(warning.message).to.match(/A by \d/);
    expect(codes(warning.remedies![0]!.apply(hot('warm-oven')))).to.not.include('pales-in-heat');
    expect(codes(hot('leave-cool'))).to.not.include('pales-in-heat');
  });

  it('carry-over from a reused jug: only where it shows', () => {
    const pots = (colour: string): Plan => {
      const plan = two();
      return {
        ...plan,
        pots: plan.pots.map((p, i) => ({
          ...p,
          colour: i === 0 ? colour : '#efd04a',
          ...(i === 1 ? { jugOf: 'p1' } : {}),
        })),
      };
    };
    const warning = find(pots('#3b2a20'), 'carry-over');
    expect(warning.message).to.match(/shifts pot B by \d/);
    expect(codes(warning.remedies![0]!.apply(pots('#3b2a20')))).to.not.include('carry-over');
    expect(codes(pots('#eed25a'))).to.not.include('carry-over');
  });

  it('a jug that is not empty when it is wanted, and the sheet weighs out once it is', () => {
    const reused = (steps: readonly string[], change: Partial<Plan> = {}): Plan => {
      const plan = boxPlan(steps.map(() => rest()));
      return {
        ...plan,
        steps: plan.steps.map((s, i) => (s.kind === 'pour' ? { ...s, pot: steps[i]! } : s)),
        pots: plan.pots.map((p) => (p.id === 'p2' ? { ...p, jugOf: 'p1' } : p)),
        ...change,
      };
    };
    const busy = reused(['p1', 'p2', 'p1']);
    expect(find(busy, 'jug-not-free').message).to.contain('pot A is still poured after pot B');
    expect(codes(find(busy, 'jug-not-free').remedies![0]!.apply(busy))).to.not.include('jug-not-free');
    const early = reused(['p1', 'p2'], { divide: { kind: 'before-lye', lye: 'together' } });
    expect(codes(early)).to.include('jug-not-free');
    const free = reused(['p1', 'p2']);
    expect(codes(free)).to.not.include('jug-not-free');
    const tasks = told(computePlan(free));
    const at = (words: string): number => tasks.findIndex((t) => t.text.includes(words));
    expect(at('Pour 1: pot A')).to.be.below(at('Weigh out pot B'));
    expect(at('Weigh out pot B')).to.be.below(at('Pour 2: pot B'));
    expect(tasks.filter((t) => t.text.includes('Weigh out pot B'))).to.have.length(1);
    expect(tasks[at('Weigh out pot B')]!.text).to.contain('Into the jug of pot A, emptied');
    expect(tasks[at('Jugs labelled')]!.text).to.contain('Jugs labelled A, and one for the lye');
  });

  it('a pot whose jug another takes can go: that one gets a jug of its own', () => {
    const plan = boxPlan([rest()]);
    const added = addPot(plan).plan;
    const reused = { ...added, pots: added.pots.map((p) => (p.id === 'p1' ? { ...p, jugOf: 'p2' } : p)) };
    const after = removePot(reused, 'p2');
    expect(readPlanValue(after).ok).to.equal(true);
    expect(after.pots.map((p) => p.id)).to.not.include('p2');
    expect(after.pots[0]!.jugOf).to.equal(undefined);
  });

  it('a colorant that nobody described adds nothing, and says so', () => {
    const plan = basePlan({ colorants: [{ id: 'k1', name: 'Purple powder' }] });
    const mixed = mixPot(updatePot(plan, 'p1', { colorants: [{ colorant: 'k1', doseGPerKg: 3 }] }), 'p1');
    expect(find(mixed, 'colorant-unknown').message).to.contain('Purple powder');
  });
});
