import { MOMENTS, type Moment } from '../../src/core/batter/moments.ts';
import { happenedIn } from '../../src/core/batch/happened.ts';
import { expect } from 'chai';
import { readFileSync } from 'node:fs';
import { type Dose, type LateOil } from '../../src/core/batter/schema.ts';
import { curedPerOil } from '../../src/core/batter/fragranceLimit.ts';
import { recipesOf } from '../../src/core/plan/recipes.ts';
import { addDose, doseFrom, doseInto, settleDoses, updateDose } from '../../src/core/edit/additions.ts';
import { addPot, removePot } from '../../src/core/edit/pots.ts';
import { addTop, setTop } from '../../src/core/edit/tops.ts';
import { removeStep } from '../../src/core/edit/pours.ts';
import { readPlanFile } from '../../src/core/exchange/planFile.ts';
import { readPlanValue } from '../../src/core/exchange/planValue.ts';
import type { Plan } from '../../src/core/plan/planSchema.ts';
import type { TopWay } from '../../src/core/plan/topSchema.ts';
import { computePlan } from '../../src/core/computed/compute.ts';
import { procedureOf } from '../../src/core/procedure/procedureOf.ts';
import { additive, fragrance } from '../support/additions.ts';
import { basePlan, boxPlan, rest } from '../support/plans.ts';
import { printed, type Sheet } from '../support/printed.ts';
import { told } from '../support/told.ts';
import { follow, totalOf } from '../support/recount.ts';

const withBatter = (plan: Plan, batter: Partial<Plan['batter']>): Plan => ({
  ...plan,
  batter: { ...plan.batter, ...batter },
});

const codes = (plan: Plan): string[] => computePlan(plan).warnings.map((w) => w.code);
const find = (plan: Plan, code: string) => computePlan(plan).warnings.find((w) => w.code === code)!;

const PORTIONS = { divide: { kind: 'before-lye', lye: 'together' } } as const;

/** Shea stirred in late, by g per kg of the recipe's oils. */
const shea = (moment: Moment, gPerKgOils: number, more: Partial<Dose> = {}): LateOil => ({
  id: 'l1',
  oil: 'shea',
  doses: [{ id: 'd1', gPerKgOils, moment, ...more }],
});

const task = (sheet: Sheet, id: string) => sheet.procedure.find((t) => t.id === id);
const lines = (sheet: Sheet, name: string) =>
  sheet.procedure.flatMap((t) => t.lines.map((l) => ({ ...l, task: t.id }))).filter((l) => l.name === name);

describe('additions in some pots', () => {
  it('seeds go into one layer alone, once it is thick enough not to sink (common practice, no source)', () => {
    const plan = withBatter(boxPlan([rest(), rest()]), {
      additives: [additive('seed', 'trace', 12, { pots: ['p1'] })],
    });
    const sheet = printed(plan);
    const [line, ...others] = lines(sheet, 'Additive seed');
    expect(others).to.deep.equal([]);
    expect(line).to.include({ task: 'pot-trace:p1', to: 'pot:p1' });
    expect(task(sheet, 'pot-trace:p1')!.text).to.match(/medium/);
    // 12 g per kg of the oils in it, and the pot as heavy as it was without
    const [p1, p2] = sheet.pots;
    expect(line!.mass_g / p1!.jug['oils_g']!).to.be.closeTo(0.012, 0.0005);
    expect(p2!.jug['additives_g']).to.equal(0);
    expect(p1!.jug['total_g']).to.be.closeTo(p1!.mass_g, 1.1);
    // after it is weighed out, before it is poured
    const order = sheet.procedure.map((t) => t.id);
    expect(order.indexOf('pot:p1')).to.be.below(order.indexOf('pot-trace:p1'));
    expect(order.indexOf('pot-trace:p1')).to.be.below(order.indexOf('pour:s1'));
  });

  it('two scents stay on their sides of a divider, each against its own certificate', () => {
    const plan = withBatter(boxPlan([rest(), rest()]), {
      fragrances: [
        {
          ...fragrance(3, { id: 'f1', name: 'Moor', limitPercent: 9 }),
          doses: [{ id: 'd1', gPerKgOils: 30, moment: 'colour', pots: ['p1'] }],
        },
        {
          ...fragrance(5, { id: 'f2', name: 'Weir', limitPercent: 3 }),
          doses: [{ id: 'd1', gPerKgOils: 50, moment: 'colour', pots: ['p2'] }],
        },
      ],
    });
    const sheet = printed(plan);
    expect(lines(sheet, 'Moor').map((l) => l.to)).to.deep.equal(['pot:p1']);
    expect(lines(sheet, 'Weir').map((l) => l.to)).to.deep.equal(['pot:p2']);
    // by hand: 50 g in the bar of a kg of oils, its lye, and three tenths of its water
    const recipe = recipesOf(plan).ofPot('p2')!;
    const bar = 1000 + recipe.lye * 1000 + recipe.water * 300 + 50;
    const over = find(plan, 'fragrance-over-limit');
    expect(over.pot).to.equal('p2');
    expect(Number(/≈ ([\d.]+) %/.exec(over.message)![1])).to.be.closeTo((50 / bar) * 100, 0.01);
    expect(curedPerOil(recipe) * 1000).to.be.closeTo(bar, 1e-9);
    // the remedy lands under the limit in that pot, and leaves the other scent
    const cured = over.remedies![0]!.apply(plan);
    expect(codes(cured)).to.not.include('fragrance-over-limit');
    expect(cured.batter.fragrances[0]).to.deep.equal(plan.batter.fragrances[0]);
    expect(cured.batter.fragrances[1]!.doses[0]!.gPerKgOils).to.be.within(25, 50);
  });

  it('a scent just before the pour is repeated at each pour of its pot, and is as strong in each', () => {
    const plan = withBatter(boxPlan([rest(), rest(), rest(), rest(), rest()]), {
      fragrances: [fragrance(4, { moment: 'pour', limitPercent: 9 })],
    });
    const sheet = printed(plan);
    const stirs = lines(sheet, 'Moor');
    expect(stirs.map((l) => l.task)).to.deep.equal(['s1', 's2', 's3', 's4', 's5'].map((s) => `stir:${s}`));
    // all but the last pour of a pot out of a cup, so that what stays in the jug is not scented yet
    expect(stirs.map((l) => l.to)).to.deep.equal(['cup:p1:s1', 'cup:p2:s2', 'cup:p1:s3', 'pot:p2', 'pot:p1']);
    const { vessels, poured } = follow(sheet.procedure, plan);
    expect(poured.size).to.equal(5);
    const mould = vessels.get('mould')!;
    expect(
      mould.get('Moor')! / totalOf({ vessels: new Map([['mould', mould]]), supplied: 0, lowest: 0, poured }),
    ).to.be.closeTo(0.04 / recipesOf(plan).batch!.batterPerOil, 0.001);
  });

  it('part now and the rest from a later pass: into all that the jug still holds, once', () => {
    const first = withBatter(boxPlan([rest(), rest(), rest()]), {
      fragrances: [
        { ...fragrance(2), doses: [{ id: 'd1', gPerKgOils: 20, moment: 'colour', pots: ['p1'] }] },
      ],
    });
    const plan = doseFrom(
      updateDose(addDose(first, 'fragrances', 'f1'), 'fragrances', 'f1', 'd2', {
        moment: 'pour',
        gPerKgOils: 15,
      }),
      'fragrances',
      'f1',
      'd2',
      's3',
    );
    const sheet = printed(plan);
    const [now, later] = lines(sheet, 'Moor');
    expect(now).to.include({ task: 'pot-colour:p1' });
    expect(later).to.include({ task: 'stir:s3', to: 'pot:p1' });
    // s1 and s3 are alike: the rest is for half of the oils
    expect(later!.mass_g / now!.mass_g).to.be.closeTo(15 / 20 / 2, 0.03);
    // the later pass holds more in it than the first, and both are told
    const { ofPour } = recipesOf(plan);
    expect(ofPour('s1')!.batterPerOil).to.be.closeTo(ofPour('s3')!.batterPerOil - 0.015, 1e-9);
  });

  it('an oil stirred in late raises the superfat of the pots it goes into, by hand', () => {
    const plan = withBatter(boxPlan([rest(), rest()], { units: { ...basePlan().units, scaleStepG: 0.1 } }), {
      lateOils: [shea('colour', 40, { pots: ['p2'] })],
    });
    const sheet = printed(plan);
    const [p1, p2] = sheet.pots;
    expect(p1!.superfat_percent).to.be.closeTo(5, 0.1);
    // per g of oils: need n, lye 0.95 n; 0.04 g of shea more needs 0.04 x 180/1000 x 39.997/56.106 (mid of
    // 170 to 190)
    const need = recipesOf(plan).batch!.fullNeed;
    const late = (0.04 * 180 * 39.997) / 56.106 / 1000;
    expect(p2!.superfat_percent).to.be.closeTo((1 - (0.95 * need) / (need + late)) * 100, 0.1);
    expect(p2!.jug['late_oils_g']! / p2!.jug['oils_g']!).to.be.closeTo(0.04, 0.001);
    // the lye of the batch is not made for it
    const without = printed(withBatter(plan, { lateOils: [] }));
    expect(sheet.batter.alkali_g / sheet.batter.oils_g).to.be.closeTo(
      without.batter.alkali_g / without.batter.oils_g,
      2e-4,
    );
    const much = withBatter(plan, { lateOils: [shea('colour', 200, { pots: ['p2'] })] });
    expect(find(much, 'pot-superfat-late-oil').pot).to.equal('p2');
  });

  it('portions have oils and water of their own where they are wanted, and lye for those', () => {
    const own = {
      oils: [{ oil: 'coconut', percent: 100 }],
      water: { school: 'water-to-lye', value: 3 },
    } as const;
    const plain = boxPlan([rest(), rest()], { ...PORTIONS, units: { ...basePlan().units, scaleStepG: 0.1 } });
    const plan: Plan = {
      ...plain,
      pots: plain.pots.map((p) => (p.id === 'p1' ? { ...p, own: { ...own, oils: [...own.oils] } } : p)),
    };
    const sheet = printed(plan);
    const recount = follow(sheet.procedure, plan);
    expect(recount.lowest).to.be.at.least(-1e-6);
    const jug = sheet.procedure.find((t) => t.id === 'pot:p1')!.lines;
    expect(jug.map((l) => l.name)).to.deep.equal(['Coconut oil', 'Water']);
    for (const pot of sheet.pots) expect(pot.superfat_percent).to.be.within(5, 5.35);
    // three of water to one of lye in it, as the recipe says in the other one
    const made = follow(
      sheet.procedure.filter((t) => t.chapter !== 'pour'),
      plan,
    ).vessels;
    const ratio = (pot: string): number => {
      const held = made.get(`pot:${pot}`)!;
      return held.get('Water')! / held.get('Sodium hydroxide, 99 % pure')!;
    };
    expect(ratio('p1')).to.be.closeTo(3, 0.02);
    expect(ratio('p2')).to.be.closeTo(70 / 30, 0.02);
    const short: Plan = {
      ...plan,
      pots: plan.pots.map((p) => (p.own ? { ...p, own: { oils: [{ oil: 'coconut', percent: 90 }] } } : p)),
    };
    expect(find(short, 'recipe-not-100').message).to.match(/oils of pot A add up to 90 %/);
    expect(codes(find(short, 'recipe-not-100').remedies![0]!.apply(short))).to.not.include('recipe-not-100');
    const dry: Plan = {
      ...plan,
      pots: plan.pots.map((p) =>
        p.own ? { ...p, own: { water: { school: 'percent-of-oils', value: 8 } } } : p,
      ),
    };
    expect(find(dry, 'water-too-low')).to.include({ level: 'refuse', pot: 'p1' });
    // what one batch cannot do is said
    expect(find({ ...plan, divide: { kind: 'after-emulsion' } }, 'own-oils-unused').pot).to.equal('p1');
  });

  it('milk goes in at its moment: with the water, into the cooled lye, into the oils, at emulsion', () => {
    for (const [moment, act, to] of [
      ['water', 'water', 'lye'],
      ['cooled-lye', 'dissolve', 'lye'],
      ['oils', 'in-oils', 'oils'],
      ['emulsion', 'emulsify', 'oils'],
    ] as const) {
      const sheet = printed(
        withBatter(boxPlan([rest()]), {
          partLiquids: [{ id: 'm', name: 'Milk', percentOfWater: 30, waterPercent: 88, moment }],
        }),
      );
      expect(lines(sheet, 'Milk').map((l) => [l.task, l.to])).to.deep.equal([[act, to]]);
    }
  });

  it('lye is strained where something may be left in it, and not otherwise', () => {
    const strained = (moment: Moment): boolean =>
      procedureOf(computePlan(withBatter(boxPlan([rest()]), { additives: [additive('a', moment)] }))).some(
        (t) => t.id === 'strain',
      );
    expect(MOMENTS.filter(strained)).to.deep.equal(['water', 'hot-lye', 'cooled-lye']);
  });

  it('what cannot be is refused with its number, and cured', () => {
    const early = withBatter(boxPlan([rest(), rest()]), {
      additives: [additive('clay', 'oils', 20, { pots: ['p1'] })],
    });
    const refused = find(early, 'dose-before-pots');
    expect(refused.level).to.equal('refuse');
    expect(refused.message).to.match(/into the oils of pot A alone/);
    for (const remedy of refused.remedies!)
      expect(codes(remedy.apply(early))).to.not.include('dose-before-pots');
    const full = withBatter(boxPlan([rest(), rest()]), {
      additives: [
        additive('a', 'colour', 500, { pots: ['p1'] }),
        additive('b', 'colour', 500, { pots: ['p1'] }),
      ],
    });
    const larger = find(full, 'mostly-added');
    expect(larger).to.include({ level: 'refuse', pot: 'p1' });
    expect(larger.message).to.match(/4\d %/);
    expect(computePlan(full).weights).to.equal(undefined);
  });

  it('files that name what is not there are refused at the field', () => {
    const faultOf = (dose: Partial<Dose>): string | undefined => {
      const read = readPlanValue(
        withBatter(boxPlan([rest(), rest()]), { additives: [additive('a', 'pour', 10, dose)] }),
      );
      return read.ok ? undefined : read.faults[0].at;
    };
    expect(faultOf({ pots: ['p1'], fromPour: 's1' })).to.equal(undefined);
    expect(faultOf({ pots: ['nobody'] })).to.equal('batter.additives.0.doses.0.pots.0');
    expect(faultOf({ pots: ['p1'], fromPour: 's2' })).to.equal('batter.additives.0.doses.0.fromPour');
    expect(faultOf({ fromPour: 's1' })).to.equal('batter.additives.0.doses.0.fromPour');
    const early = readPlanValue(withBatter(boxPlan([rest()]), { lateOils: [shea('oils', 20)] }));
    expect(early.ok ? '' : early.faults[0].at).to.equal('batter.lateOils.0.doses.0.moment');
  });

  it('a pot or a pour that goes takes with it what was for it alone', () => {
    const plan = withBatter(boxPlan([rest(), rest(), rest()]), {
      additives: [additive('a', 'colour', 10, { pots: ['p2'] })],
      fragrances: [
        {
          ...fragrance(2),
          doses: [{ id: 'd1', gPerKgOils: 20, moment: 'pour', pots: ['p1'], fromPour: 's3' }],
        },
      ],
    });
    const onlyFirst = settleDoses(removePot(removeStep(plan, 's2'), 'p2'));
    expect(onlyFirst.batter.additives).to.deep.equal([]);
    const shorter = settleDoses(removeStep(plan, 's3'));
    expect(shorter.batter.fragrances[0]!.doses[0]).to.not.have.property('fromPour');
    expect(readPlanValue(shorter).ok).to.equal(true);
    expect(settleDoses(plan)).to.equal(plan);
    expect(
      doseInto(plan, 'additives', 'a', 'd1', undefined).batter.additives[0]!.doses[0],
    ).to.not.have.property('pots');
  });
});

describe('a pot that is only heaped on top', () => {
  for (const divide of [{ kind: 'after-emulsion' }, { kind: 'before-lye', lye: 'together' }] as const)
    it(`gets with its colour what it was to get before its pour: divided ${divide.kind}`, () => {
      const { plan, potId } = addPot(boxPlan([rest(), rest()], { divide }));
      const topped = addTop(plan, 'mound');
      const way = topped.plan.steps.find((s) => s.kind === 'top')!.way as Extract<TopWay, { top: 'mound' }>;
      const scent = fragrance(3, { moment: 'pour' });
      const { batter, ...mounded } = setTop(topped.plan, topped.stepId, { ...way, pot: potId });
      const doses = scent.doses.map((d) => ({ ...d, pots: [potId] }));
      const computed = computePlan({ ...mounded, batter: { ...batter, fragrances: [{ ...scent, doses }] } });
      const lines = told(computed).flatMap((a) => a.lines.filter((l) => l.name === scent.name));
      expect(lines.map((l) => [l.to.key, l.fine])).to.deep.equal([[`pot:${potId}`, true]]);
      const { jug } = computed.weights!.pots.find((p) => p.pot.id === potId)!;
      expect(lines[0]!.massG).to.be.closeTo(0.03 * jug.oilsG, 0.1);
    });
});

describe('plans of version 3', () => {
  for (const name of ['three-beds', 'three-jugs', 'heather-poured'])
    it(`${name} weighs the same as it did`, () => {
      const read = readPlanFile(readFileSync(`test/fixtures/${name}.v3.dripline.json`, 'utf8'));
      if (!read.ok) throw new Error(read.faults[0].message);
      const now = printed(read.plan, happenedIn(read.batch, read.plan)).procedure.flatMap((t) =>
        t.lines.map((l) => `${l.name}: ${l.mass_g}${l.times ? ` x ${l.times}` : ''} g, ${l.from} to ${l.to}`),
      );
      // what is weighed is the same; since then it is weighed where the day has it
      expect(now.toSorted()).to.deep.equal(
        readFileSync(`test/fixtures/${name}.v3.lines.txt`, 'utf8').trim().split('\n').toSorted(),
      );
    });
});
