import { AS_PLANNED } from '../../src/core/batch/happened.ts';
import { added, poured } from '../../src/core/batch/note.ts';
import { expect } from 'chai';
import { onePot } from '../../src/core/ombre/onePot.ts';
import { labOfHex } from '../../src/core/colour/lab.ts';
import { readPlanValue } from '../../src/core/exchange/planValue.ts';
import {
  renameOmbre,
  setEnd,
  setLayers,
  setTurn,
  startOmbre,
  swapEnds,
  takeApart,
  updateOmbre,
} from '../../src/core/edit/ombre.ts';
import { duplicatePour, moveStep, removeStep, setPourPot } from '../../src/core/edit/pours.ts';
import { zigzag } from '../../src/core/edit/tilt.ts';
import { VESSEL } from '../../src/core/day/vessel.ts';
import { massOfContents } from '../../src/core/ledger/contents.ts';
import { heldAfter } from '../../src/core/ledger/ledger.ts';
import { poursOfOmbre } from '../../src/core/ombre/runs.ts';
import { labOfBody } from '../../src/core/colour/body.ts';
import { paintsOfOmbre, shadesOf } from '../../src/core/ombre/shades.ts';
import { differencesOf } from '../../src/core/ombre/strip.ts';
import type { Plan } from '../../src/core/plan/planSchema.ts';
import { computePlan, type Computed } from '../../src/core/computed/compute.ts';
import { procedureOf } from '../../src/core/procedure/procedureOf.ts';
import { sheetJson } from '../../src/core/sheet/sheetJson.ts';
import type { OmbreWeights } from '../../src/core/weigh/ombre/types.ts';
import { SUBSTANCE } from '../../src/core/weigh/substances.ts';
import { ombrePlan, starter } from '../support/colours.ts';
import { basePlan, boxPlan, demoPlans, rest } from '../support/plans.ts';
import { really } from '../support/written.ts';

const SCHOOLS = ['one-pot', 'master-blends', 'separate-pots'] as const;

const ofSchool = <S extends OmbreWeights['school']>(plan: Plan, school: S, happened = AS_PLANNED) => {
  const found = computePlan(plan, happened).weights!.ombres[0]!;
  if (found.school !== school) throw new Error(found.school);
  return found as Extract<OmbreWeights, { school: S }>;
};

const places = (plan: Plan): number[] => shadesOf(plan, plan.ombres[0]!).map((s) => s.t);

const coloursOfPours = (c: Computed): string[] => c.stack.layers.map((l) => c.colours.pours.get(l.pour.id)!);

const isValid = (plan: Plan): void => {
  const read = readPlanValue(plan);
  expect(read.ok ? 'valid' : read.faults[0].message).to.equal('valid');
};

const fine = { units: { ...basePlan().units, scaleStepG: 0.1, fineStepG: 0.01 } } as const;

describe('an ombre in the plan', () => {
  it('is made of the layers there are, keeping their amounts and tilts', () => {
    const slanted = zigzag(
      boxPlan([rest(), rest(), rest(), rest()]),
      computePlan(boxPlan([rest(), rest(), rest(), rest()])).stack.layers,
      'edge',
      4,
    );
    const { plan } = startOmbre(slanted, 'these-layers', starter('heather'));
    isValid(plan);
    const before = computePlan(slanted).stack.layers.map((l) => l.volumeMl);
    computePlan(plan).stack.layers.forEach((l, i) => expect(l.volumeMl).to.be.closeTo(before[i]!, 1e-6));
    expect(plan.steps.filter((s) => s.kind === 'tilt').length).to.be.above(2);
    expect(poursOfOmbre(plan, plan.ombres[0]!.id)).to.have.length(4);
  });

  it('is laid as the whole loaf, or above the layers there are', () => {
    const whole = startOmbre(basePlan(), 'whole-loaf', starter('slate')).plan;
    isValid(whole);
    expect(computePlan(whole).stack.layers).to.have.length(8);
    expect(whole.pots).to.have.length(1);
    const above = startOmbre(basePlan(), 'above', starter('slate')).plan;
    isValid(above);
    expect(computePlan(above).stack.layers).to.have.length(10);
    expect(computePlan(above).weights).to.not.equal(undefined);
  });

  it('looks even in the loaf, in every school, after rounding to a fine scale', () => {
    for (const school of SCHOOLS) {
      const computed = computePlan(ombrePlan(6, school, fine));
      const steps = differencesOf(coloursOfPours(computed).map(labOfHex));
      expect(steps).to.have.length(5);
      expect(Math.max(...steps) / Math.min(...steps), school).to.be.below(1.35);
    }
  });

  it('gives each school its pots', () => {
    expect(ombrePlan(6, 'one-pot').pots).to.have.length(1);
    expect(ombrePlan(6, 'separate-pots').pots).to.have.length(6);
    expect(ombrePlan(6, 'master-blends').pots).to.have.length(6);
    const back = updateOmbre(ombrePlan(6, 'separate-pots'), 'o1', { school: 'one-pot' });
    isValid(back);
    expect(back.pots).to.have.length(1);
  });

  it('calls its pots what they are, and leaves a name alone that its maker gave', () => {
    const names = (plan: Plan): string[] => {
      isValid(plan);
      return poursOfOmbre(plan, 'o1').map((p) => plan.pots.find((pot) => pot.id === p.pot)!.name);
    };
    const plain = ombrePlan(4, 'separate-pots');
    expect(names(plain)).to.deep.equal(['Heather plain', 'Heather mid 1', 'Heather mid 2', 'Heather deep']);
    expect(names(setLayers(plain, 'o1', 3))).to.deep.equal([
      'Heather plain',
      'Heather mid 1',
      'Heather deep',
    ]);
    const white = setEnd(
      plain,
      'o1',
      'from',
      [{ colorant: 'white-oil', doseGPerKg: 8 }],
      [starter('white-oil')],
    );
    expect(names(white)[0]).to.equal('Heather white');
    // the other way round: what was first is last, names and places with it
    const swapped = swapEnds(white, 'o1');
    expect(names(swapped)).to.deep.equal(['Heather deep', 'Heather mid 1', 'Heather mid 2', 'Heather white']);
    const lights = (plan: Plan): number[] => coloursOfPours(computePlan(plan)).map((hex) => labOfHex(hex)[0]);
    const [up, down] = [lights(white), lights(swapped)];
    down.toReversed().forEach((l, i) => expect(l).to.be.closeTo(up[i]!, 1.5));
    expect(swapEnds(swapped, 'o1').ombres).to.deep.equal(white.ombres);
    // its maker's name stays; ours follow the ombre's
    const own = { ...plain, pots: plain.pots.map((p, i) => (i === 1 ? { ...p, name: 'Dusk' } : p)) };
    expect(names(renameOmbre(own, 'o1', 'Moor'))).to.deep.equal([
      'Moor plain',
      'Dusk',
      'Moor mid 2',
      'Moor deep',
    ]);
    expect(names(setLayers(own, 'o1', 5))[1]).to.equal('Dusk');
  });

  it('gains and loses layers, and the grading follows', () => {
    const plan = setLayers(ombrePlan(5, 'separate-pots'), 'o1', 9);
    isValid(plan);
    expect(places(plan)).to.have.length(9);
    expect(places(plan)[8]).to.equal(1);
    const fewer = setLayers(plan, 'o1', 3);
    isValid(fewer);
    expect(fewer.pots).to.have.length(3);
    expect(places(fewer)).to.have.length(3);
  });

  it('restarts pale in a pot of its own', () => {
    const plan = setTurn(ombrePlan(8), poursOfOmbre(ombrePlan(8), 'o1')[5]!.id, 'restart');
    isValid(plan);
    expect(plan.pots).to.have.length(2);
    expect(places(plan)[4]).to.equal(1);
    expect(places(plan)[5]).to.equal(0);
    expect(places(plan)[7]).to.equal(1);
    const undone = setTurn(plan, poursOfOmbre(plan, 'o1')[5]!.id, 'none');
    expect(undone.pots).to.have.length(1);
  });

  it('turns back without repeating the shade it turns at', () => {
    const start = setEnd(ombrePlan(7, 'separate-pots'), 'o1', 'from', [
      { colorant: 'heather', doseGPerKg: 1 },
    ]);
    const plan = setTurn(start, poursOfOmbre(start, 'o1')[4]!.id, 'reverse');
    isValid(plan);
    expect(places(plan)[3]).to.equal(1);
    expect(places(plan)[6]).to.equal(0);
    expect(places(plan)[4]!).to.be.below(1);
    // the shades it has in common with the way up come from the same pots
    expect(plan.pots).to.have.length(4);
    const inOnePot = updateOmbre(plan, 'o1', { school: 'one-pot' });
    isValid(inOnePot);
    const [pot] = ofSchool(inOnePot, 'one-pot').pots;
    expect(pot!.plainG).to.be.above(0);
    // start, plain batter and dispersed colorant are the pot
    const brought = pot!.passes.flatMap((p) => p.colorants).reduce((s, c) => s + c.massG * (1 + 5 * 0.92), 0);
    expect(pot!.startG + pot!.plainG + brought).to.be.closeTo(
      computePlan(inOnePot).weights!.pots[0]!.batterG,
      1.5,
    );
  });

  it('refuses to turn one pot back to plain batter, and the remedies put it right', () => {
    const plan = setTurn(ombrePlan(6), poursOfOmbre(ombrePlan(6), 'o1')[3]!.id, 'reverse');
    const refused = computePlan(plan).warnings.find((w) => w.code === 'ombre-impossible');
    expect(refused?.level).to.equal('refuse');
    expect(computePlan(plan).weights).to.equal(undefined);
    const cured = refused!.remedies!.find((r) => r.label.includes('master blends'))!.apply(plan);
    expect(computePlan(cured).warnings.map((w) => w.code)).to.not.include('ombre-impossible');
    expect(computePlan(cured).weights).to.not.equal(undefined);
  });

  it('notices when one pot is to give two shades, and sorts the pots', () => {
    const plan = ombrePlan(8, 'separate-pots');
    const turned = setTurn(plan, poursOfOmbre(plan, 'o1')[4]!.id, 'restart');
    expect(turned.pots).to.have.length(4);
    const broken = setPourPot(turned, poursOfOmbre(turned, 'o1')[1]!.id, turned.pots[0]!.id);
    const refused = computePlan(broken).warnings.find((w) => w.code === 'ombre-impossible')!;
    const cured = refused.remedies![0]!.apply(broken);
    isValid(cured);
    expect(computePlan(cured).weights).to.not.equal(undefined);
  });

  it('conserves colorant on the scales: every pot’s colorant is what its layers and its rest hold', () => {
    for (const school of SCHOOLS) {
      const plan = ombrePlan(7, school);
      const { weights } = computePlan(plan);
      const ombre = weights!.ombres[0]!;
      for (const p of weights!.pots) {
        const inPours = ombre.layers
          .filter((l) => l.pot.id === p.pot.id)
          .reduce((sum, l) => sum + (l.mix[0]!.doseGPerKg * l.plannedG) / 1000, 0);
        const poured = p.pours.reduce((sum, q) => sum + q.massG, 0);
        const last = ombre.layers.filter((l) => l.pot.id === p.pot.id).at(-1)!.mix[0]!.doseGPerKg;
        const held = ((p.batterG - poured) * last) / 1000;
        const total = p.colorants.find((c) => c.id === 'heather')?.massG ?? 0;
        expect(total, school).to.be.closeTo(inPours + held, 0.011);
      }
    }
  });

  it('is doubly checked by the sheet: no colorant asked for twice, nothing poured that was not weighed', () => {
    for (const school of SCHOOLS)
      for (const divide of [{ kind: 'after-emulsion' }, { kind: 'before-lye', lye: 'together' }] as const) {
        const computed = computePlan(ombrePlan(6, school, { divide }));
        const tasks = procedureOf(computed);
        const lines = tasks.flatMap((t) => t.lines);
        const asked = lines.filter((l) => l.name === 'Heather mica').reduce((s, l) => s + l.massG, 0);
        const { weights } = computed;
        const inPots = weights!.pots.reduce(
          (s, p) => s + (p.colorants.find((c) => c.id === 'heather')?.massG ?? 0),
          0,
        );
        // stocks hold a little more than is drawn from them
        expect(asked, `${school} ${divide.kind}`).to.be.within(inPots - 0.05, inPots * 1.03 + 0.05);
        const dispersed = lines
          .filter((l) => l.name.startsWith('Heather mica, dispersed'))
          .reduce((s, l) => s + l.massG, 0);
        expect(dispersed / asked, school).to.be.closeTo(1 + 5 * 0.92, 0.02);
      }
  });

  it('draws a little more where the stocks are oils', () => {
    const plan = ombrePlan(5, 'master-blends', { divide: { kind: 'before-lye', lye: 'together' }, ...fine });
    const { weights } = computePlan(plan);
    const ombre = weights!.ombres[0]!;
    if (ombre.school !== 'master-blends') throw new Error();
    expect(ombre.of).to.equal('oils');
    const last = weights!.pots.find((p) => p.pot.id === ombre.draws.at(-1)!.pot.id)!;
    const factor = ombre.last.totalG / ombre.last.massG;
    expect(factor).to.be.above(1.005);
    // the oil in the draw, its carrier's included, is what the jug's lye is for
    const draw = ombre.draws.at(-1)!;
    expect(draw.lastG / factor + draw.firstG).to.be.closeTo(last.jug.oilsG, 1e-6);
    expect(last.superfatPercent!).to.be.within(5, 5.5);
  });

  it('keeps batter for what stays in the jugs of the stocks', () => {
    const { weights } = computePlan(ombrePlan(5, 'master-blends'));
    const ombre = weights!.ombres[0]!;
    if (ombre.school !== 'master-blends') throw new Error();
    const inPots = weights!.pots.reduce((sum, p) => sum + p.batterG, 0);
    expect(weights!.stockLossG).to.be.closeTo(inPots * 0.02, 1.1);
    expect(ombre.first.totalG + ombre.last.totalG).to.be.closeTo(inPots + weights!.stockLossG, 1e-6);
    expect(inPots + weights!.stockLossG).to.be.closeTo(weights!.batterG, 2.5);
  });

  it('a pot that goes paler gets its plain batter back pass by pass, to the last gram: each layer is as strong as planned', () => {
    for (const divide of [
      { kind: 'after-emulsion' },
      { kind: 'before-lye', lye: 'together' },
      { kind: 'before-lye', lye: 'jug-by-jug' },
    ] as const) {
      const plan = ombrePlan(5, 'one-pot', { divide });
      const paler: Plan = {
        ...plan,
        ombres: plan.ombres.map(({ to, ...o }) => ({
          ...o,
          from: to,
          to: to.map((dose) => ({ ...dose, doseGPerKg: dose.doseGPerKg * 0.4 })),
        })),
      };
      const { ledger } = computePlan(paler).weights!;
      const { pot, plainG, passes } = ofSchool(paler, 'one-pot').pots[0]!;
      const plain = VESSEL.plain(pot.id).key;
      const back = ledger.transfers.filter((t) => t.from.key === plain);
      expect(back.map((t) => t.massG)).to.deep.equal(passes.slice(1).map((p) => p.plainG));
      expect(back.reduce((sum, t) => sum + t.massG, 0)).to.equal(plainG);
      for (const [i, { act }] of back.entries()) {
        const jug = heldAfter(ledger, act, VESSEL.pot(pot.id));
        expect((1000 * (jug.get(SUBSTANCE.colorant('heather')) ?? 0)) / massOfContents(jug)).to.be.closeTo(
          passes[i + 1]!.concentrations[0]!,
          1e-6,
        );
      }
      expect(massOfContents(heldAfter(ledger, back.at(-1)!.act, VESSEL.plain(pot.id)))).to.be.closeTo(
        0,
        1e-9,
      );
    }
  });

  it('what if: 310 g were poured, not what was planned; the rest is solved again', () => {
    const plan = ombrePlan(4);
    const [first, second] = poursOfOmbre(plan, 'o1');
    const before = ofSchool(plan, 'one-pot').pots[0]!.passes;
    const more = before[1]!.pouredG + 30;
    const after = ofSchool(plan, 'one-pot', really(plan, poured(second!.id, more))).pots[0]!.passes;
    expect(after[1]!.pouredG).to.equal(more);
    expect(after[2]!.pouredG).to.be.below(before[2]!.pouredG);
    expect(after[2]!.concentrations[0]!).to.be.closeTo(before[2]!.concentrations[0]!, 0.1);
    expect(after[2]!.addedG[0]!).to.be.below(before[2]!.addedG[0]!);
    expect(after.at(-1)!.leftG).to.be.closeTo(before.at(-1)!.leftG, 2);
    const undone = really(plan, poured(first!.id, 99), poured(first!.id, undefined));
    expect(ofSchool(plan, 'one-pot', undone).pots[0]!.passes).to.deep.equal(before);
  });

  it('what if: 1.4 g were added; the layers after it are even again from there to the end', () => {
    const plan = ombrePlan(6);
    const pour = poursOfOmbre(plan, 'o1')[2]!;
    const planned = ofSchool(plan, 'one-pot').pots[0]!.passes[2]!.addedG[0]!;
    const changed = really(plan, added(pour.id, [{ colorant: 'heather', massG: planned + 0.3 }]));
    const computed = computePlan(plan, changed);
    const steps = differencesOf(coloursOfPours(computed).map(labOfHex)).slice(2);
    expect(Math.max(...steps) / Math.min(...steps)).to.be.below(1.3);
    const passes = ofSchool(plan, 'one-pot', changed).pots[0]!.passes;
    expect(passes[5]!.concentrations[0]!).to.be.closeTo(8, 0.15);
    // too much for the last shade: nothing more is added
    const far = ofSchool(plan, 'one-pot', really(plan, added(pour.id, [{ colorant: 'heather', massG: 6 }])))
      .pots[0]!.passes;
    expect(far.slice(3).every((p) => p.addedG[0] === 0)).to.equal(true);
  });

  it('shows what rounding does: a coarse scale moves the steps', () => {
    const spread = (fineStepG: 0.01 | 0.5): number => {
      const plan = ombrePlan(6);
      const steps = differencesOf(
        coloursOfPours(computePlan({ ...plan, units: { ...plan.units, fineStepG } })).map(labOfHex),
      );
      return Math.max(...steps) / Math.max(0.01, Math.min(...steps));
    };
    expect(spread(0.5)).to.be.above(spread(0.01));
    const spoons = ofSchool(updateOmbre(ombrePlan(6), 'o1', { measure: 'spoon' }), 'one-pot');
    for (const pass of spoons.pots[0]!.passes)
      expect(((pass.addedG[0]! / 2.6) * 8) % 1).to.be.closeTo(0, 1e-6);
  });

  it('is taken apart into plain pots that look the same', () => {
    const plan = ombrePlan(5);
    const before = coloursOfPours(computePlan(plan));
    const apart = takeApart(plan, 'o1');
    isValid(apart);
    expect(apart.ombres).to.deep.equal([]);
    expect(apart.pots).to.have.length(5);
    coloursOfPours(computePlan(apart)).forEach((hex, i) =>
      expect(differencesOf([labOfHex(hex), labOfHex(before[i]!)])[0]).to.be.below(2),
    );
  });

  it('is printed by the headless sheet with its passes, and every demo ombre can be weighed', () => {
    const json = sheetJson(computePlan(ombrePlan(4))) as {
      ombres: { pots: { passes: { add: unknown[] }[] }[] }[];
    };
    expect(json.ombres[0]!.pots[0]!.passes).to.have.length(4);
    const demos = demoPlans().filter((p) => p.ombres.length > 0);
    expect(demos.map((p) => p.ombres[0]!.school).toSorted()).to.deep.equal(['master-blends', 'one-pot']);
    for (const demo of demos)
      expect(computePlan(demo).warnings.filter((w) => w.level !== 'note')).to.deep.equal([]);
  });

  it('warns of one layer, of ends too near, and of steps too fine to see', () => {
    const codes = (plan: Plan): string[] => computePlan(plan).warnings.map((w) => w.code);
    expect(codes(ombrePlan(1))).to.include('ombre-too-few');
    const near = setEnd(ombrePlan(4), 'o1', 'to', [{ colorant: 'heather', doseGPerKg: 0.01 }]);
    expect(codes(near)).to.include('ombre-steps-close');
    const flat = setEnd(
      ombrePlan(24),
      'o1',
      'to',
      [{ colorant: 'lichen', doseGPerKg: 6 }],
      [starter('lichen')],
    );
    const warning = computePlan(flat).warnings.find((w) => w.code === 'ombre-steps-close')!;
    expect(codes(warning.remedies![0]!.apply(flat))).to.not.include('ombre-steps-close');
  });

  it('a purple ombre out of plain cream batter greys in its pale layers; whitened batter cures it', () => {
    const warning = computePlan(ombrePlan(6)).warnings.find((w) => w.code === 'pale-purple-greys')!;
    expect(warning.message).to.match(/pale layers of Heather, from layer [23]/);
    const cured = warning.remedies![0]!.apply(ombrePlan(6));
    isValid(cured);
    expect(computePlan(cured).warnings.map((w) => w.code)).to.not.include('pale-purple-greys');
  });

  it('stays sorted when layers are taken out, doubled or moved in the design', () => {
    const plan = ombrePlan(8, 'separate-pots');
    const turned = setTurn(plan, poursOfOmbre(plan, 'o1')[4]!.id, 'restart');
    const ids = poursOfOmbre(turned, 'o1').map((p) => p.id);
    const sound = (p: Plan): void => {
      isValid(p);
      expect(computePlan(p).warnings.map((w) => w.code)).to.not.include.members(['ombre-impossible']);
      expect(computePlan(p).warnings.map((w) => w.code)).to.not.include.members(['pot-unused']);
    };
    const fewer = removeStep(turned, ids[1]!);
    sound(fewer);
    // the run that began with a layer begins with the next one when it goes
    const cut = removeStep(turned, ids[4]!);
    sound(cut);
    expect(poursOfOmbre(cut, 'o1')[4]!.ombre!.turn).to.equal('restart');
    const more = duplicatePour(turned, ids[4]!);
    sound(more.plan);
    expect(poursOfOmbre(more.plan, 'o1').filter((p) => p.ombre!.turn)).to.have.length(1);
    sound(moveStep(turned, ids[6]!, ids[1]!));
  });

  it('pale layers take what pale layers take: twelve from plain soap do not start at hundredths of a gram', () => {
    const plan = updateOmbre(ombrePlan(12, 'separate-pots', fine), 'o1', { measure: 'stock' });
    const doses = computePlan(plan).weights!.ombres[0]!.layers.map((l) => l.mix[0]!.doseGPerKg);
    expect(doses[1]!).to.be.above(0.1);
    const linear: Plan = {
      ...plan,
      colorants: plan.colorants.map((c) => {
        if (!c.nature) return c;
        const { pale: _pale, ...nature } = c.nature;
        return { ...c, nature };
      }),
    };
    const before = computePlan(linear).weights!.ombres[0]!.layers.map((l) => l.mix[0]!.doseGPerKg);
    expect(doses[1]!).to.be.above(3 * before[1]!);
    expect(doses.at(-1)!).to.be.closeTo(before.at(-1)!, 0.05);
    // and it is still even to the eye
    const paints = paintsOfOmbre(plan, plan.ombres[0]!);
    const steps = differencesOf(shadesOf(plan, plan.ombres[0]!).map((s) => labOfBody(paints.bodyOf(s.mix))));
    expect(Math.max(...steps) / Math.min(...steps)).to.be.below(1.02);
  });

  it('two layers that the scale makes one are told of, and each remedy parts them', () => {
    const coarse = (change: Partial<Plan> = {}): Plan =>
      ombrePlan(12, 'separate-pots', {
        mould: basePlan().mould,
        units: { ...basePlan().units, scaleStepG: 1, fineStepG: 0.1 },
        ...change,
      });
    const warning = computePlan(coarse()).warnings.find((w) => w.code === 'ombre-steps-equal')!;
    expect(warning.message).to.match(
      /Layers \d+ and \d+ .* take the same colorant once it is weighed to 0.1 g/,
    );
    expect(warning.remedies!.map((r) => r.label.split(' ')[0])).to.deep.equal(['Weigh', 'Draw', 'Make']);
    for (const remedy of warning.remedies!.slice(0, 2)) {
      const cured = remedy.apply(coarse());
      isValid(cured);
      expect(
        computePlan(cured).warnings.map((w) => w.code),
        remedy.label,
      ).to.not.include('ombre-steps-equal');
    }
    expect(poursOfOmbre(warning.remedies![2]!.apply(coarse()), 'o1')).to.have.length(9);
    const stock = warning.remedies![1]!.apply(coarse());
    expect(stock.colorants[0]!.nature!.carrierMlPerG * 0.92).to.be.closeTo(10, 0.02);
  });
});

describe('a pass that was dosed otherwise', () => {
  it('leaves a dose that was to stay as it came out, and goes on grading the one that was to rise', () => {
    const wanted = [
      [2, 6],
      [2.06, 6],
      [8, 6],
    ];
    const { passes } = onePot(
      wanted.map((w, i) => ({
        wanted: w,
        pourG: 100,
        // a little more of the second colorant than 6 g/kg of 300 g
        ...(i === 0 ? { actual: { addedG: [0.6, 1.86] } } : {}),
      })),
      {
        batterG: 300,
        bulk: [1, 1],
        round: (g) => g,
        roundBatter: (g) => g,
        roundUp: (g) => g,
        respace: (_now, next) => wanted.slice(next),
      },
    );
    const [first, second, third] = passes.map((p) => p.concentrations);
    expect(second![0]).to.be.closeTo(2.06, 0.005);
    expect(third![0]).to.be.closeTo(8, 0.05);
    expect(first![1]).to.be.above(6.1);
    expect(second![1]! / first![1]!).to.be.closeTo(1, 0.01);
  });
});
