import { expect } from 'chai';
import { hexOfBody } from '../../src/core/colour/body.ts';
import { difference } from '../../src/core/colour/difference.ts';
import { labOfHex } from '../../src/core/colour/lab.ts';
import { OPPOSITE, wheelApart, wheelOf } from '../../src/core/colour/painterWheel.ts';
import { STARTER_COLORANTS } from '../../src/core/colorant/starters.ts';
import { takeFound, takeMatch } from '../../src/core/edit/colorants.ts';
import { matchesFor } from '../../src/core/look/matchColour.ts';
import { drawnPots, matchPots } from '../../src/core/look/matchPots.ts';
import { paintboxOf } from '../../src/core/look/paintbox.ts';
import { plannedState } from '../../src/core/look/state.ts';
import { finish } from '../../src/core/task/task.ts';
import { computePlan } from '../../src/core/computed/compute.ts';
import { boxPlan, rest } from '../support/plans.ts';
import { potMixed } from '../support/colours.ts';

const plan = boxPlan([rest(), rest()]);
const state = plannedState(plan, 'cured');
const { base } = paintboxOf(plan, state);
const found = (hex: string) => matchesFor(labOfHex(hex), base, STARTER_COLORANTS, state);

describe('colorants for a colour', () => {
  it('finds a mix again that was made of the library, near enough not to show', () => {
    for (const doses of [{ heather: 5 }, { 'weir-copper': 4 }, { slate: 3, 'white-oil': 4 }] as const) {
      const mixed = potMixed(plan, doses);
      const wanted = hexOfBody(paintboxOf(mixed, state).bodyOf(mixed.pots[0]!.colorants));
      const [best] = found(wanted);
      expect(best!.difference, JSON.stringify(doses)).to.be.below(1.5);
      expect(difference(labOfHex(best!.hex), labOfHex(wanted))).to.be.closeTo(best!.difference, 0.5);
    }
  });

  it('keeps to usual doses, two colorants at most, never opposites, and leads each way with another', () => {
    for (const wanted of ['#e8b0c0', '#204060', '#a0c060', '#d04020', '#808080']) {
      const list = found(wanted);
      expect(list.length).to.be.within(1, 3);
      expect(new Set(list.map((m) => m.mix[0]!.colorant)).size).to.equal(list.length);
      for (const match of list) {
        expect(match.mix.length).to.be.within(1, 2);
        for (const { colorant, doseGPerKg } of match.mix) {
          const { nature } = STARTER_COLORANTS.find((c) => c.id === colorant)!;
          expect(doseGPerKg).to.be.within(0.05, nature.usualGPerKg + 0.01);
        }
        const labs = match.colorants.map((c) => labOfHex(c.nature.colour));
        if (labs.length === 2 && labs.every((l) => Math.hypot(l[1], l[2]) > 12))
          expect(wheelApart(wheelOf(labs[0]!), wheelOf(labs[1]!))).to.be.below(OPPOSITE);
      }
    }
  });

  it('is taken into the pot with its doses, which is then drawn as it is mixed', () => {
    const [best] = found('#94719c');
    const taken = takeMatch(plan, 'p1', best!);
    expect(taken.pots[0]).to.not.have.property('colour');
    expect(taken.pots[0]!.colorants).to.deep.equal(best!.mix);
    expect(taken.colorants.map((c) => c.id)).to.have.members(best!.mix.map((m) => m.colorant));
    const drawn = computePlan(taken).colours.pots.get('p1')!;
    expect(difference(labOfHex(drawn), labOfHex('#94719c'))).to.be.closeTo(best!.difference, 0.5);
  });

  it('colours every pot that is only drawn, and leaves alone what is not', () => {
    const drawn = {
      ...plan,
      pots: plan.pots.map((p, i) => ({ ...p, colour: ['#b5663a', '#5f6c78'][i] ?? '#808080' })),
    };
    expect(drawnPots(drawn).map((p) => p.id)).to.deep.equal(['p1', 'p2']);
    // one that nothing is poured from, and one that has a colorant, are none of them
    expect(drawnPots({ ...drawn, steps: drawn.steps.slice(0, 1) }).map((p) => p.id)).to.deep.equal(['p1']);
    expect(drawnPots(potMixed(drawn, { slate: 3 })).map((p) => p.id)).to.not.include('p1');
    const wanted = drawnPots(drawn).map((p) => ({ pot: p.id, hex: p.colour! }));
    const list = finish(matchPots({ plan: drawn, library: STARTER_COLORANTS, wanted }));
    const coloured = takeFound(drawn, list);
    expect(drawnPots(coloured)).to.deep.equal([]);
    for (const { id, colorants } of coloured.pots) {
      const { hex, matches } = list.find((f) => f.pot === id)!;
      const mixed = hexOfBody(paintboxOf(coloured, state, id).bodyOf(colorants));
      // as near as it was said to be
      expect(difference(labOfHex(mixed), labOfHex(hex))).to.be.closeTo(matches[0]!.difference, 0.6);
    }
    // with nothing at hand a pot stays as it is drawn
    const nothing = finish(matchPots({ plan: drawn, library: [], wanted }));
    expect(takeFound(drawn, nothing)).to.equal(drawn);
  });

  it('leaves a pot plain that is drawn as plain soap', () => {
    const hex = hexOfBody(base);
    const drawn = { ...plan, pots: plan.pots.map((p) => ({ ...p, colour: hex })) };
    const list = finish(matchPots({ plan: drawn, library: STARTER_COLORANTS, wanted: [{ pot: 'p1', hex }] }));
    expect(list[0]!.plainAway).to.be.below(0.5);
    const [pot] = takeFound(drawn, list).pots;
    expect(pot!.colorants).to.deep.equal([]);
    expect(pot!.colour).to.equal(undefined);
  });
});
