import { blendTemperature } from '../../batter/blendTemperature.ts';
import { peakLyeTemperature } from '../../batter/lyeHeat.ts';
import { VESSEL } from '../../day/vessel.ts';
import { startStage } from '../../clock/start.ts';
import type { DayAct } from '../../day/act.ts';
import { everIn, transfersOf } from '../../ledger/ledger.ts';
import type { Telling } from '../telling.ts';
import type { OmbreWeights } from '../../weigh/ombre/types.ts';
import type { Weights } from '../../weigh/weights.ts';
import type { Deed } from '../deeds.ts';
import { strains } from '../batches.ts';
import { linesOf, sumOfLines } from '../lines.ts';
import { dispersalOf, type Dispersal } from '../mixing.ts';
import { colouredBy, ifWeighed, stirrerOf, type TellFor } from './tells.ts';

/**
 * Frozen liquids scorch and foam in hot lye: it goes in over a long while and never gets hot. Common
 * practice, no source.
 */
const FROZEN_AT_MOST_C = 25;

/** Liquids of the recipe at one moment, as they are called. */
const liquidsAt = ({ partLiquids }: Weights, moment: string): readonly string[] =>
  partLiquids.filter((l) => l.massG > 0 && l.moment === moment).map((l) => l.name.toLowerCase());

type How = Extract<Deed, { does: 'disperse' }>['how'];

function howOf({ colorant: { jar, nature }, carrier }: Dispersal): How {
  if (jar !== undefined) return { kind: 'jar', jar };
  if (nature?.carrier === 'none') return { kind: 'dry' };
  if (!carrier) return { kind: 'undescribed' };
  return carrier.kind === 'oil'
    ? { kind: 'oil-set-aside', ml: carrier.ml }
    : { kind: 'carrier', name: carrier.name, ml: carrier.ml };
}

/** The way an ombre colours a pot; undefined for a pot with colorants of its own. */
const schoolOf = (w: Weights, potId: string): OmbreWeights['school'] | undefined =>
  w.ombres.find((o) => o.layers.some((l) => l.pot.id === potId))?.school;

/** Something is put on the scale in an act like this. */
const comesOf = ({ day, w }: Telling, is: (act: DayAct) => boolean): boolean =>
  day.some((a) => is(a) && transfersOf(w.ledger, a.id).length > 0);

const isColoured = (w: Weights, potId: string): boolean =>
  (w.pots.find((p) => p.pot.id === potId)?.colorants.length ?? 0) > 0;

export const tellMaking: TellFor<
  | 'weigh-water'
  | 'weigh-lye'
  | 'dissolve-lye'
  | 'strain-lye'
  | 'stir-in'
  | 'set-oil-aside'
  | 'weigh-oils'
  | 'disperse'
  | 'emulsify'
  | 'make-stock'
  | 'weigh-out'
  | 'keep-spare'
  | 'make-portion'
  | 'combine'
  | 'keep-plain'
> = {
  'weigh-water': ({ computed, w }, { id }) => ({
    deed: {
      does: 'weigh-water',
      water: w.waterG > 0,
      frozen: liquidsAt(w, 'frozen'),
      mixed: liquidsAt(w, 'water'),
    },
    lines: linesOf(computed, w, id),
  }),
  'weigh-lye': ({ computed, w }, { id }) => ({
    deed: { does: 'weigh-lye' },
    lines: linesOf(computed, w, id),
  }),
  'dissolve-lye': ({ computed: { plan }, w }) => {
    const { waterC, lyeC } = plan.batter.temperatures;
    return {
      deed:
        liquidsAt(w, 'frozen').length > 0
          ? { does: 'dissolve-lye-on-ice', water: w.waterG > 0, belowC: FROZEN_AT_MOST_C }
          : { does: 'dissolve-lye', peakC: peakLyeTemperature(w.lyeG, w.waterG, waterC), coolToC: lyeC },
    };
  },
  // what is not lye and water may not have dissolved
  'strain-lye': ({ w }) => (strains(w) ? { deed: { does: 'strain-lye' } } : undefined),
  'stir-in': (t, act) =>
    ifWeighed(t, act, () => ({
      does: 'stir-in',
      into: act.into,
      ...(act.into === 'emulsion' ? { blendTo: startStage(t.computed.plan) } : {}),
    })),
  'set-oil-aside': (t, act) =>
    ifWeighed(t, act, (lines) => ({ does: 'set-oil-aside', massG: sumOfLines(lines) })),
  'weigh-oils': ({ computed, w }, { id }) => {
    const lines = linesOf(computed, w, id);
    const aside = everIn(w.ledger, VESSEL.carrierOil).size > 0;
    const toC = computed.plan.batter.temperatures.oilsC;
    return { deed: { does: 'weigh-oils', massG: sumOfLines(lines), aside, toC }, lines };
  },
  disperse: ({ computed, w }, { id, colorant: wanted }) => {
    const colorant = computed.plan.colorants.find((c) => c.id === wanted);
    const [own] = colorant ? dispersalOf(w, colorant) : [];
    if (!own) return undefined;
    return {
      deed: { does: 'disperse', colorant: own.colorant.name, into: own.into, how: howOf(own) },
      lines: linesOf(computed, w, id),
    };
  },
  // where blending ends is said where it ends: after what goes in as soon as it holds
  emulsify: (t, { id }) => {
    const { computed, w } = t;
    const then = comesOf(t, (a) => a.does === 'stir-in' && a.into === 'emulsion');
    return {
      deed: {
        does: 'emulsify',
        meetsC: blendTemperature(w, computed.plan.batter.temperatures),
        ...(then ? {} : { blendTo: startStage(computed.plan) }),
      },
      lines: linesOf(computed, w, id),
    };
  },
  'make-stock': ({ computed, w }, { id, ombre: wanted, which }) => {
    const own = w.ombres.find((o) => o.ombre.id === wanted);
    if (own?.school !== 'master-blends') return undefined;
    const { name, colorants } = own[which];
    return {
      deed: {
        does: 'make-stock',
        ombre: own.ombre.name,
        stock: name,
        coloured: colorants.length > 0,
        stirrer: stirrerOf(computed),
        ofOils: own.of === 'oils',
      },
      lines: linesOf(computed, w, id),
    };
  },
  'weigh-out': (t, act) =>
    ifWeighed(t, act, (lines) => {
      const { pot } = act;
      return {
        does: 'weigh-out',
        school: schoolOf(t.w, pot.id),
        ...colouredBy(t, lines),
        more: lines.some((l) => l.from.kind === 'supply' && l.to.kind === 'pot'),
        ...(pot.jugOf === undefined ? {} : { jugOf: pot.jugOf }),
      };
    }),
  'keep-spare': (t, act) => ifWeighed(t, act, () => ({ does: 'keep-spare' })),
  'make-portion': (t, act) =>
    ifWeighed(t, act, (lines) => {
      const school = schoolOf(t.w, act.pot.id);
      return {
        does: 'make-portion',
        fromStocks: school === 'master-blends',
        ownOils: lines.some((l) => t.w.substances.get(l.substance ?? '')?.kind === 'oil'),
        coloured: school !== 'one-pot' && isColoured(t.w, act.pot.id),
      };
    }),
  combine: (t, act) =>
    ifWeighed(t, act, () => {
      const then = comesOf(t, (a) => a.does === 'stir-at-emulsion' && a.pot.id === act.pot.id);
      return { does: 'combine', ...(then ? {} : { blendTo: startStage(t.computed.plan) }) };
    }),
  'keep-plain': (t, act) => ifWeighed(t, act, (lines) => ({ does: 'keep-plain', massG: sumOfLines(lines) })),
};
