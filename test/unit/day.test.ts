import { expect } from 'chai';
import fc from 'fast-check';
import { askBook } from '../../src/core/ask/book.ts';
import { falseTraceOf, oilThatSets } from '../../src/core/ask/falseTrace.ts';
import { earliestOf } from '../../src/core/clock/earliest.ts';
import { startStage } from '../../src/core/clock/start.ts';
import { searching } from '../../src/core/clock/ways.ts';
import { AS_PLANNED } from '../../src/core/batch/happened.ts';
import { computePlan, type Computed } from '../../src/core/computed/compute.ts';
import { dayOf } from '../../src/core/day/order/dayOf.ts';
import type { Day } from '../../src/core/day/act.ts';
import { VESSEL } from '../../src/core/day/vessel.ts';
import { openLedger, transfersOf } from '../../src/core/ledger/ledger.ts';
import { updateMicaLine } from '../../src/core/edit/micaLine.ts';
import { addPot } from '../../src/core/edit/pots.ts';
import { addPour, removeStep } from '../../src/core/edit/pours.ts';
import { keepAt, setClock } from '../../src/core/edit/clock.ts';
import { setTemperatures } from '../../src/core/edit/batter.ts';
import { layPlan } from '../../src/core/fill/layPlan.ts';
import { USUAL } from '../../src/core/plan/habits.ts';
import type { Plan } from '../../src/core/plan/planSchema.ts';
import { toolsOf } from '../../src/core/procedure/chapters/laidOut.ts';
import { procedureOf } from '../../src/core/procedure/procedureOf.ts';
import { tellingOf } from '../../src/core/procedure/telling.ts';
import { sheetJson } from '../../src/core/sheet/sheetJson.ts';
import { finish } from '../../src/core/task/task.ts';
import { additive, fragrance } from '../support/additions.ts';
import { anyDay, type LivedDay } from '../support/anyDay.ts';
import { ombrePlan } from '../support/colours.ts';
import { basePlan, boxPlan, demo, demoPlans, rest } from '../support/plans.ts';
import { follow, type PrintedTask } from '../support/recount.ts';
import { told } from '../support/told.ts';

const dayIn = (plan: Plan): Day => dayOf(plan, layPlan(plan).moulds);

/** What an act of the sheet says of the vessels that it touches. */
interface PrintedAct extends PrintedTask {
  readonly start_min: number | null;
  readonly holds: readonly {
    readonly vessel: string;
    readonly mass_g: number;
    readonly superfat_percent: number | null;
  }[];
}

const acts = (plan: Plan, happened = AS_PLANNED): readonly PrintedAct[] =>
  (sheetJson(computePlan(plan, happened), 4) as { readonly procedure: readonly PrintedAct[] }).procedure;

describe('one list of acts', () => {
  it('each act of any day is done once and has a name of its own', () => {
    fc.assert(
      fc.property(anyDay, ({ plan }) => {
        const ids = dayIn(plan).map((a) => a.id);
        expect(new Set(ids).size).to.equal(ids.length);
      }),
      { seed: 23, numRuns: 60 },
    );
  });

  it('a step that is called like something else that is done takes nothing from it', () => {
    const plan = boxPlan([rest(), rest()]);
    const named: Plan = {
      ...plan,
      steps: [
        plan.steps[0]!,
        { id: 'oils', kind: 'wait', until: { kind: 'minutes', minutes: 2 } },
        plan.steps[1]!,
        { id: 'cut', kind: 'finish', what: 'insulate' },
      ],
    };
    const was = acts(plan);
    const now = acts(named);
    expect(now.filter((a) => !was.some((b) => b.id === a.id)).map((a) => a.id)).to.deep.equal(
      ['oils~2', 'cut~2'].toSorted(
        (a, b) => now.findIndex((x) => x.id === a) - now.findIndex((x) => x.id === b),
      ),
    );
    for (const a of was) expect(now.find((b) => b.id === a.id)?.lines, a.id).to.deep.equal(a.lines);
  });

  it('portions that get their lye all at first get it the largest first', () => {
    const plan: Plan = { ...demo('Slate Beds'), divide: { kind: 'before-lye', lye: 'together' } };
    const computed = computePlan(plan);
    const made = computed.day.flatMap((a) => (a.does === 'combine' ? [a.pot.id] : []));
    const poured = new Map(computed.weights!.pots.map((p) => [p.pot.id, p.batterG]));
    expect(made.map((id) => poured.get(id)!)).to.deep.equal([...poured.values()].toSorted((a, b) => b - a));
    expect(new Set(poured.values()).size).to.equal(4);
  });

  it('nothing is taken of a jug before all that goes into it is in: for a pour, a hole or the top', () => {
    // held back for the hole of a column that is pulled, and poured of nowhere else
    const columns = demo('Basalt Columns');
    const pulled: Plan = {
      ...columns,
      pots: [...columns.pots, { ...columns.pots[0]!, id: 'held', letter: 'H' }],
      fill: { ...columns.fill, top: [{ pot: 'held', massG: 60 }] },
    };
    expect(dayIn(pulled).some((a) => a.does === 'pull')).to.equal(true);
    const readied = ({ plan, happened }: LivedDay): void => {
      const day = dayIn(plan);
      const { ledger } = computePlan(plan, happened).weights ?? {};
      const order = day.map((a) => a.id);
      for (const { id } of ledger ? plan.pots : []) {
        const taken = ledger!.transfers.find(
          (t) => t.from.key === VESSEL.pot(id).key && t.to.key !== VESSEL.plain(id).key,
        );
        const last = day.findLastIndex(
          (a) =>
            (a.does === 'colour-pot' || a.does === 'stir-at-trace' || a.does === 'combine') &&
            a.pot.id === id,
        );
        if (taken) expect(order.indexOf(taken.act), `${taken.act}, pot ${id}`).to.be.above(last);
      }
    };
    for (const plan of [...demoPlans(), pulled]) readied({ plan, happened: AS_PLANNED });
    fc.assert(fc.property(anyDay, readied), { seed: 8, numRuns: 40 });
  });

  it('amending a plan renames no other act', () => {
    fc.assert(
      fc.property(anyDay, fc.nat(), ({ plan }, at) => {
        const steps = plan.steps.filter((s) => s.kind === 'pour' || s.kind === 'top');
        const gone = steps[at % Math.max(1, steps.length)];
        if (!gone) return;
        const was = dayIn(plan);
        const now = new Set(dayIn(removeStep(plan, gone.id)).map((a) => a.id));
        const left = removeStep(plan, gone.id);
        // what is of a step and of a pot that are both still there has the name it had
        for (const act of was) {
          const step = 'step' in act ? act.step : undefined;
          if (act.does !== 'pour' && act.does !== 'wait' && act.does !== 'tilt') continue;
          if (step && left.steps.some((s) => s.id === step.id))
            expect(now.has(act.id), act.id).to.equal(true);
        }
      }),
      { seed: 5, numRuns: 60 },
    );
    const plan = demo('Slate Beds');
    const added = dayIn(addPour(plan, 'p1').plan).map((a) => a.id);
    for (const { id } of dayIn(plan)) expect(added, id).to.include(id);
  });

  it('sheet, book and clock of any day go through the same acts in the same order, and minutes never go back', () => {
    let timed = 0;
    fc.assert(
      fc.property(anyDay, ({ plan, happened }) => {
        const computed = computePlan(plan, happened);
        const { weights, day } = computed;
        if (!weights) return;
        const order = day.map((a) => a.id);
        const told = procedureOf(computed).map((a) => a.id);
        expect(told).to.deep.equal(order.filter((id) => told.includes(id)));
        expect([...weights.ledger.acts.keys()]).to.deep.equal(order);
        let before = 0;
        for (const { id, start_min: min } of acts(plan, happened)) {
          if (min === null) continue;
          expect(min, id).to.be.at.least(before - 1e-9);
          before = min;
          timed += 1;
        }
        // whatever the clock counts a job of is an act of the day, once
        const jobs = (computed.clock?.acts ?? []).flatMap((a) => a.about.of);
        for (const id of jobs) expect(order, id).to.include(id);
      }),
      { seed: 11, numRuns: 40 },
    );
    expect(timed).to.be.above(300);
  });

  it('what every vessel holds after each act is what its lines come to, one after another', () => {
    for (const plan of [...demoPlans(), ombrePlan(5, 'one-pot'), ombrePlan(4, 'master-blends')]) {
      const printed = acts(plan);
      let told = 0;
      for (const [i, act] of printed.entries()) {
        if (act.holds.length === 0) continue;
        const { vessels } = follow(printed.slice(0, i + 1), plan);
        const heldIn = (is: (name: string) => boolean): number =>
          [...vessels]
            .filter(([name]) => is(name))
            .reduce((sum, [, held]) => sum + [...held.values()].reduce((s, g) => s + g, 0), 0);
        for (const { vessel, mass_g: massG } of act.holds) {
          // what stays of a scraped layer is in its mould: nobody weighs it over
          if (vessel.startsWith('layer:') || act.id.startsWith('scrape:')) continue;
          const mould = vessel === 'mould' && plan.steps.some((s) => s.kind === 'scrape');
          const held = heldIn((name) => name === vessel || (mould && name.startsWith('layer:')));
          expect(massG, `${plan.name}, ${act.id}, ${vessel}`).to.be.closeTo(held, 0.02);
          told += 1;
        }
      }
      expect(told, plan.name).to.be.above(10);
    }
  });
});

describe('what must hold of a book', () => {
  it('what is done to one kind of mould puts things into that alone', () => {
    let into = 0;
    fc.assert(
      fc.property(anyDay, ({ plan, happened }) => {
        const { day, weights } = computePlan(plan, happened);
        for (const act of weights && plan.others.length > 0 ? day : []) {
          if (act.does !== 'put-on-top' && act.does !== 'pull') continue;
          for (const { to } of transfersOf(weights!.ledger, act.id)) {
            expect(to.key, act.id).to.equal(VESSEL.mould(act.mould).key);
            into += 1;
          }
        }
      }),
      { seed: 2, numRuns: 50 },
    );
    expect(into).to.be.above(10);
  });

  it('all that came in is somewhere, in any day', () => {
    fc.assert(
      fc.property(anyDay, ({ plan, happened }) => {
        const { batch } = computePlan(plan, happened);
        if (batch) expect(askBook(batch.ledger)).to.equal(undefined);
      }),
      { seed: 17, numRuns: 60 },
    );
  });
  it('what is lost, or less than nothing, or no number is found', () => {
    const book = openLedger();
    book.begin('oils');
    book.add('oil:olive', VESSEL.oils, 100, false);
    book.move(VESSEL.oils, VESSEL.pot('p1'), 40, false);
    const ledger = book.close();
    expect(askBook(ledger)).to.equal(undefined);
    const withHeld = (g: number) => ({
      ...ledger,
      held: new Map([...ledger.held, ['pot:p1', [{ at: 1, holds: new Map([['oil:olive', g]]) }]]]),
    });
    for (const g of [39.99, 40.01, -40, Number.NaN])
      expect(askBook(withHeld(g)), String(g)).to.not.equal(undefined);
    expect(() => {
      const twice = openLedger();
      twice.begin('oils');
      twice.begin('oils');
    }).to.throw('done once');
  });
});

describe('told once', () => {
  it('where blending ends is the stage that the clock starts from', () => {
    for (const plan of [...demoPlans(), setClock(basePlan(), { start: 1.6 })]) {
      const stage = startStage(plan);
      for (const act of told(computePlan(plan))) {
        if (act.ofSecond === true || (act.deed.does !== 'emulsify' && act.deed.does !== 'combine')) continue;
        const figure = `${Number(stage.toFixed(1))} of 5)`;
        expect(act.text, `${plan.name}, ${act.id}`).to.include(figure);
      }
    }
    const early = {
      ...basePlan(),
      batter: { ...basePlan().batter, additives: [additive('a', 'emulsion')] },
    } as Plan;
    const texts = told(computePlan(early));
    expect(texts.find((a) => a.id === 'emulsify')!.text).to.match(/until it just holds as an emulsion\./);
    expect(texts.find((a) => a.id === 'in-emulsion')!.text).to.match(
      /then blend on until it is light \(1 of 5\)/,
    );
  });

  it('scent is stirred in as scent, and what is heavy as that; blending on comes before either', () => {
    const plan = boxPlan([rest(), rest()]);
    const with2 = (kind: 'additives' | 'fragrances'): Plan => ({
      ...plan,
      pots: plan.pots.map((p) => (p.id === 'p2' ? { ...p, blendTo: 1.9 } : p)),
      batter: {
        ...plan.batter,
        [kind]:
          kind === 'additives'
            ? [additive('x', 'trace', 12, { pots: ['p2'] })]
            : [fragrance(3)].map((f) => ({ ...f, doses: f.doses.map((d) => ({ ...d, pots: ['p2'] })) })),
      },
    });
    for (const kind of ['additives', 'fragrances'] as const) {
      const list = told(computePlan(with2(kind)));
      const own = list.filter((a) => a.pot === 'p2' && a.chapter === 'pour');
      const trace = own.findIndex((a) => a.id === 'pot-trace:p2');
      const blend = own.findIndex((a) => a.id === 'work:s2:p2');
      expect(trace, kind).to.be.at.least(0);
      expect(blend, kind).to.be.within(0, trace - 1);
      expect(own[trace]!.text, kind).to.match(
        kind === 'fragrances' ? /^Stir the scent into pot B/ : /sinks in batter thinner/,
      );
      expect(own[trace]!.text).to.not.match(/once it is/);
    }
  });

  it('every pour says how thick its batter should be', () => {
    for (const plan of demoPlans())
      for (const act of told(computePlan(plan)))
        if (act.deed.does === 'pour')
          expect(act.text, `${plan.name}, ${act.id}`).to.match(/The batter should be .*\([\d.]+ of 5\)/);
  });

  it('where the clock has it clearly otherwise the sheet says so, by the clock’s own figure', () => {
    let said = 0;
    for (const plan of demoPlans()) {
      const computed = computePlan(plan);
      for (const act of told(computed)) {
        if (act.deed.does !== 'pour') continue;
        const { meant } = act.deed.thick;
        const timed = computed.clock!.acts.find((a) => a.about.of.includes(act.id))!;
        const far = Math.max(
          ...meant.map(({ stage }) => Math.max(timed.firstStage! - stage, stage - timed.stage!)),
        );
        const [, figure] = /By the clock it will be (?:from )?[a-z ]+\(([\d.]+) of 5\)/.exec(act.text) ?? [];
        expect(figure !== undefined, `${plan.name}, ${act.id}`).to.equal(far > 0.5);
        if (figure === undefined) continue;
        expect(Number(figure)).to.be.closeTo(timed.firstStage!, 0.051);
        said += 1;
      }
    }
    expect(said).to.be.above(10);
  });

  it('what is left over at the cut is what the bars leave', () => {
    for (const plan of demoPlans()) {
      const computed = computePlan(plan);
      const cut = told(computed).find((a) => a.id === 'cut');
      if (!cut || computed.cut.sliced) continue;
      const [, mm] = /([\d.]+) mm of the (?:length|longest piece) is left over/.exec(cut.text) ?? [];
      expect(Number(mm ?? 0), plan.name).to.be.closeTo(
        computed.cut.remainderMm,
        plan.units.length === 'mm' ? 0.06 : 99,
      );
    }
  });

  it('unmoulding and curing are the same on clock and sheet', () => {
    const computed = computePlan(demo('Slate Beds'));
    const texts = told(computed).map((a) => a.text);
    expect(texts.find((t) => t.startsWith('Unmould'))).to.match(/^Unmould (\d+) to (\d+) h after the pour/);
    expect(texts.join(' ')).to.match(/Cure \d+ to \d+ weeks/);
    expect(texts.join(' ')).to.not.match(/18 to 72|Cure 4 to 6 weeks\./);
    const [, hours] = /^Unmould (\d+) to/.exec(texts.find((t) => t.startsWith('Unmould'))!)!;
    const unmould = acts(demo('Slate Beds')).find((a) => a.id === 'unmould')!;
    // told to the hour
    expect(unmould.start_min! - computed.clock!.totalMin).to.be.closeTo(60 * Number(hours), 30);
  });

  it('jugs are weighed out one after another, each in its part of the time', () => {
    const out = acts(demo('Slate Beds')).filter((a) => a.id.startsWith('pot:p'));
    const between = out.slice(1).map((a, i) => a.start_min! - out[i]!.start_min!);
    expect(between.length).to.be.above(1);
    for (const min of between) expect(min).to.be.closeTo(between[0]!, 1e-9).and.above(0);
  });

  it('a jug is stirred loose before what is poured of it is weighed into its cup: as the clock has it', () => {
    const ids = acts(demo('Heather on Peat')).map((a) => a.id);
    for (const pour of ['s7', 's8', 's9'])
      expect(ids.indexOf(`stir:${pour}`), pour).to.equal(ids.indexOf(`loosen:${pour}:p3`) + 1);
  });

  it('the batch for piping is made within the minutes that the clock counts for it', () => {
    const ofIt = acts(demo('Cotton Grass')).filter((a) => a.id.startsWith('second:'));
    const all = ofIt.slice(ofIt.findIndex((a) => a.id === 'second:begin'));
    const coloured = all.findIndex((a) => a.id.startsWith('second:pot-colour:'));
    const minutes = all.slice(0, coloured + 1).map((a) => a.start_min!);
    // its lye and oils stand ready before the clock begins: lye wants longer to cool than a loaf to be poured
    const ready = ofIt.filter((a) => a.start_min === null).map((a) => a.id);
    expect(ready).to.include.members(['second:lye', 'second:stir-lye', 'second:oils']);
    expect(ready).to.not.include('second:emulsify');
    expect(minutes.at(-1)! - minutes[0]!).to.be.closeTo(USUAL.makeMin, 1e-9);
    for (const [i, min] of minutes.slice(1).entries()) expect(min).to.be.above(minutes[i]!);
  });

  it('kinds of moulds are tilted one after another too, and the next act follows the last of them', () => {
    const all = acts(demo('Thrift Ledge'));
    const at = all.findIndex((a) => a.id === 't4:m1');
    const [loaf, cavities, next] = all.slice(at - 1, at + 2).map((a) => a.start_min!);
    expect(all[at - 1]!.id).to.equal('t4');
    expect(cavities! - loaf!)
      .to.be.closeTo(next! - cavities!, 1e-9)
      .and.above(0.5);
  });
});

describe('what is laid out', () => {
  const toolsIn = (plan: Plan) => {
    const computed: Computed = computePlan(plan);
    return toolsOf(tellingOf(computed, computed.weights!));
  };
  it('comes from the acts: sticks, props, scrapers, and a second jug for two walls at once', () => {
    const kinds = (name: string) => toolsIn(demo(name)).map((t) => t.tool);
    expect(kinds('Basalt Columns')).to.include.members([
      'stick',
      'stirrer',
      'scrap-bowl',
      'lye-sieve',
      'cutter',
    ]);
    expect(kinds('Copper Weir')).to.include('prop');
    expect(kinds('Peat Furrows')).to.include('scraper');
    expect(kinds('Slate Beds')).to.not.include.members(['stick']);
    const parted: Plan = {
      ...demo('Ghyll Drop'),
      steps: demo('Ghyll Drop').steps.map((s) =>
        s.kind === 'pour' && s.pattern?.place.at === 'two-walls'
          ? { ...s, pattern: { ...s.pattern, place: { ...s.pattern.place, firstPercent: 30 } } }
          : s,
      ),
    };
    const jug = toolsIn(parted).find((t) => t.tool === 'second-jug');
    if (jug?.tool !== 'second-jug') throw new Error('a second jug is wanted');
    const poured = computePlan(parted).weights!.pots.flatMap((p) => p.pours);
    const allG = poured.filter((q) => q.stepId === 's3').reduce((s, q) => s + q.massG, 0);
    expect(jug.firstG + jug.secondG).to.be.closeTo(allG, 1e-6);
    expect(jug.firstG).to.be.closeTo(0.3 * allG, parted.units.scaleStepG);
  });
  it('a stirrer for every jug and stock that is coloured by hand, cups for what is dispersed, of both batches', () => {
    const count = (name: string, tool: 'stirrer' | 'dispersing-cups') =>
      toolsIn(demo(name)).reduce((s, t) => (t.tool === tool ? s + t.count : s), 0);
    const stirrers = ['Ripple Sill', 'Beck Pool', 'Heather on Peat', 'Cotton Grass', 'Bracken Bank'].map(
      (name) => count(name, 'stirrer'),
    );
    // all coloured first; two stocks and a pot; one pot for each of two ombres and a third; three and two
    // that are piped; by the blender
    expect(stirrers).to.deep.equal([4, 3, 3, 5, 0]);
    expect(count('Cotton Grass', 'dispersing-cups')).to.equal(5);
    for (const plan of demoPlans()) {
      const all = told(computePlan(plan));
      const jugs = new Set(
        all.flatMap((a) =>
          a.text.includes(', with a clean ')
            ? a.lines.flatMap((l) => (l.from.kind === 'jar' ? [`${a.chapter} ${l.to.key}`] : []))
            : [],
        ),
      );
      expect(count(plan.name, 'stirrer'), plan.name).to.be.at.least(jugs.size);
    }
  });

  it('nothing that no act wants, and a jug for every pot that batter is made in', () => {
    for (const plan of demoPlans()) {
      const all = told(computePlan(plan));
      const spoon = all.some(
        (a) => a.chapter !== 'lay-out' && (/spoonful|heap|dents/i.test(a.text) || a.deed.does === 'top'),
      );
      expect(
        toolsIn(plan).some((t) => t.tool === 'spoon'),
        plan.name,
      ).to.equal(spoon);
      expect(
        toolsIn(plan).some((t) => t.tool === 'lye-sieve'),
        plan.name,
      ).to.equal(all.some((t) => t.id === 'strain'));
      const [, letters] = /^Jugs labelled ([A-Z, ]+), /.exec(
        all.find((a) => a.text.startsWith('Jugs'))!.text,
      )!;
      const made = all.flatMap((a) =>
        (a.deed.does === 'weigh-out' && a.deed.jugOf === undefined) || a.deed.does === 'make-portion'
          ? a.lines.flatMap((l) =>
              l.to.ofSecond ? [] : (plan.pots.find((x) => x.id === l.pot)?.letter ?? []),
            )
          : [],
      );
      expect(letters!.split(', ').toSorted(), plan.name).to.deep.equal([...new Set(made)].toSorted());
    }
    const furrows = demo('Peat Furrows');
    const line = furrows.steps.find((x) => x.kind === 'mica')!.id;
    const forLines = (plan: Plan) =>
      toolsIn(plan).flatMap((t) => (t.tool === 'sieve' || t.tool === 'squeeze-bottle' ? [t.tool] : []));
    expect(forLines(furrows)).to.deep.equal(['sieve']);
    expect(forLines(updateMicaLine(furrows, line, { how: 'oil' }))).to.deep.equal(['squeeze-bottle']);
    const piped = told(computePlan(demo('Cotton Grass'))).find((a) => a.text.startsWith('Jugs'))!.text;
    expect(piped).to.match(/for the batch that is piped D, E, and one more for its lye/);
    const idle = demo('Slate Beds');
    const more = addPot(idle).plan;
    expect(told(computePlan(more)).find((a) => a.text.startsWith('Jugs'))!.text).to.equal(
      told(computePlan(idle)).find((a) => a.text.startsWith('Jugs'))!.text,
    );
  });

  it('strokes say how many, and lines how far the first is from its wall', () => {
    const fan = told(computePlan(demo('Basalt Columns'))).find((a) => a.id === 'k1')!;
    expect(fan.text).to.match(/16 strokes from the middle outward, 22\.5° apart/);
    const lines = told(computePlan(demo('Larch Spires'))).find((a) => a.id === 'pour:s2')!;
    const [, count, first] = /: (\d+) lines, the first ([\d.]+) mm from the left wall/.exec(lines.text) ?? [];
    // 15 mm apart in 91 mm: six, as far from either wall
    expect([Number(count), Number(first)]).to.deep.equal([6, 8]);
  });
});

describe('one number', () => {
  it('every pour is weighed as it is planned, to a step of the scale, out of its jug or out of a cup', () => {
    const asPlanned = (plan: Plan): void => {
      const { moulds, weights } = computePlan(plan);
      // a portion is as heavy as its own oils, blend and lye come to: with nothing made beyond, a little less
      // than its share
      const part = plan.divide.kind === 'before-lye' ? 0.005 : 0;
      for (const { stack } of weights ? moulds : [])
        for (const { parts } of stack.layers)
          for (const { key, plannedG, pouredG } of parts)
            expect(Math.abs(pouredG - plannedG), key).to.be.below(
              plan.units.scaleStepG + part * plannedG + 1e-9,
            );
    };
    for (const plan of demoPlans()) asPlanned(plan);
    fc.assert(
      fc.property(anyDay, ({ plan }) => {
        // a batch of given size runs short by what its roundings come to
        fc.pre(plan.fill.to.kind !== 'batter');
        asPlanned(plan);
      }),
      { seed: 31, numRuns: 45 },
    );
  });
  it('a batch of given size is that size, with what stays in the jugs of its stocks', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 150, max: 450 }),
        fc.integer({ min: 0, max: 12 }),
        fc.integer({ min: 2, max: 6 }),
        fc.boolean(),
        (massG, stockLossPercent, layers, ahead) => {
          const plan = ombrePlan(
            layers,
            'master-blends',
            ahead ? { divide: { kind: 'before-lye', lye: 'together' } } : {},
          );
          const given: Plan = {
            ...plan,
            ombres: plan.ombres.map((o) => ({ ...o, stockLossPercent })),
            fill: { ...plan.fill, to: { kind: 'batter', massG } },
          };
          const { batch, warnings, stack } = computePlan(given);
          expect(warnings.filter((w) => w.level === 'refuse')).to.deep.equal([]);
          expect(batch!.batterG).to.be.closeTo(massG, 1e-6);
          expect(batch!.spareG).to.be.below(2 * (layers + 3));
          // and no layer is short of what was drawn for it
          for (const { plannedG, pouredG } of stack.layers)
            expect(pouredG).to.be.above(plannedG - 3 * layers);
        },
      ),
      { seed: 4, numRuns: 40 },
    );
  });

  it('a line that names a pot is out of the jug of that pot', () => {
    let named = 0;
    const rightly = (plan: Plan): void => {
      for (const { id, lines } of acts(plan))
        for (const { name, from } of lines) {
          const [, letter] = /^(?:Pot|Held back in pot) ([A-Z])\b/.exec(name) ?? [];
          if (letter === undefined) continue;
          const pot = plan.pots.find((x) => x.letter === letter)!;
          expect([VESSEL.pot(pot.id).key, `cup:${pot.id}:${id.replace('pour:', '')}`], id).to.include(from);
          named += 1;
        }
    };
    demoPlans().forEach(rightly);
    expect(named).to.be.above(20);
  });

  it('lines into moulds are at the scale’s step, and come to all that is poured', () => {
    fc.assert(
      fc.property(anyDay, ({ plan, happened }) => {
        for (const act of acts(plan, happened)) {
          if (!act.id.startsWith('pour:')) continue;
          for (const l of act.lines) {
            const steps = l.mass_g / plan.units.scaleStepG;
            if (l.to.startsWith('mould') && (l.times ?? 1) > 1)
              expect(Math.abs(steps - Math.round(steps)), `${act.id} ${l.mass_g}`).to.be.below(1e-4);
          }
        }
      }),
      { seed: 8, numRuns: 60 },
    );
  });

  it('ounces stay ounces, with the grams of the fine scale beside them', () => {
    const plan = demo('Bracken Bank');
    const aside = told(computePlan(plan)).find((a) => a.id === 'carrier-oil')!;
    expect(plan.units.mass).to.equal('oz');
    expect(aside.text).to.match(/: [\d.]+ oz \([\d.]+ g\) in all/);
  });
});

describe('what is warned of is not advised', () => {
  const lardy = (oilsC: number): Plan => {
    const plan = boxPlan([rest(), rest(), rest()]);
    return setTemperatures(
      {
        ...plan,
        batter: {
          ...plan.batter,
          oils: [
            { oil: 'lard', percent: 55 },
            { oil: 'olive', percent: 45 },
          ],
        },
      },
      { oilsC, lyeC: oilsC },
    );
  };
  it('lard that sets is a doubt with odds, and no way is so cold that it is likelier', () => {
    const cold = lardy(20);
    expect(oilThatSets(cold)?.oil.id).to.equal('lard');
    const { clock, warnings } = sheetJson(computePlan(cold), 40) as {
      readonly clock: { readonly odds: { readonly whole: number }; readonly false_trace: number };
      readonly warnings: readonly { readonly code: string }[];
    };
    expect(warnings.map((w) => w.code)).to.include('oils-solid');
    expect(clock.false_trace).to.be.within(0.5, 0.8);
    expect(clock.odds.whole).to.be.below(1 - clock.false_trace + 0.2);
    for (const plan of [cold, lardy(38)]) {
      const found = finish(searching(plan, layPlan(plan), { seed: 3, samples: 60, accepts: () => true }))!;
      for (const way of found.best)
        expect(falseTraceOf(way.plan), way.options.map((o) => o.label).join('; ')).to.be.at.most(
          falseTraceOf(plan),
        );
    }
    expect(falseTraceOf(lardy(38))).to.equal(0);
    // so cold that all of it counts: between the judged chances in straight lines
    const frozen = (percent: number): number =>
      falseTraceOf({
        batter: {
          ...lardy(5).batter,
          oils: [
            { oil: 'lard', percent },
            { oil: 'olive', percent: 100 - percent },
          ],
        },
      });
    for (const [percent, chance] of [
      [10, 0],
      [25, 0.2],
      [32.5, 0.35],
      [40, 0.5],
      [55, 0.7],
      [70, 0.9],
    ] as const)
      expect(frozen(percent), `${percent} % lard`).to.be.closeTo(chance, 1e-9);
    // the warmest way is found: it melts again
    expect(falseTraceOf(lardy(45))).to.be.at.most(falseTraceOf(lardy(20)));
  });
  it('the earliest minute of a pour is when hands are free and its jug is ready, and says why', () => {
    const computed = computePlan(demo('Scree Steps'));
    const clock = computed.clock!;
    const pours = clock.acts.filter((a) => a.act.does === 'pour');
    for (const timed of pours) {
      const { min, because } = earliestOf(computed.plan, clock, timed);
      expect(min, because).to.be.at.most(timed.startMin + 1e-6);
      expect(min).to.be.at.least((clock.acts[timed.place - 1]?.endMin ?? 0) - 1e-9);
      expect(because).to.match(/^because hands are busy with/);
    }
  });
  it('a pour is at the minute that is typed, to the second, also where its jug is blended on right before', () => {
    for (const name of ['Slate Beds', 'Scree Steps', 'Scree Slump'])
      for (const later of [0, 0.37, 5]) {
        const computed = computePlan(demo(name));
        for (const timed of computed.clock!.acts) {
          const { step } = timed.about;
          if (step?.kind !== 'pour') continue;
          const min = earliestOf(computed.plan, computed.clock!, timed).min + later;
          const kept = computePlan(keepAt(computed.plan, step.id, min)).clock!.acts[timed.place]!;
          expect(kept.startMin, `${name}, ${step.id}`).to.be.closeTo(min, 1e-9);
          expect(kept.preparedMin).to.be.at.most(min + 1e-9);
        }
      }
  });
});
