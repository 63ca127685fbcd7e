import { peakLyeTemperature } from '../batter/lyeHeat.ts';
import { falseTraceOf, oilThatSets } from '../ask/falseTrace.ts';
import { setTemperatures } from '../edit/batter.ts';
import type { Finish } from '../plan/stepSchema.ts';
import type { Celsius } from '../units/quantity.ts';
import { formatTemperature } from '../units/format.ts';
import { lowerFirst } from '../units/words.ts';
import type { Facts } from './facts.ts';
import type { Warning } from './warning.ts';
import { remedy, warn } from './/warning.ts';

/** A chance of less is not warned of. */
const TOLD = 0.03;

/** Oils so cool that one of them sets: that looks like trace, and is none. */
function solid({ plan }: Facts): Warning[] {
  const { oilsC } = plan.batter.temperatures;
  const say = (c: Celsius): string => formatTemperature(c, plan.units.temperature);
  const worst = oilThatSets(plan);
  const chance = falseTraceOf(plan);
  if (!worst || chance < TOLD) return [];
  return [
    warn(
      { station: 'batter' },
      'oils-solid',
      `Oils at ${say(oilsC)}: ${Math.round(worst.share * 100)} % ${lowerFirst(worst.oil.name)} sets below ≈ ${say(worst.atC)} in them. In some ${Math.max(1, Math.round(10 * chance))} of 10 such batches set fat is taken for trace, and lye stays unspent in it; fewer where it was melted clear and is stirred well. A judgement.`,
      [remedy(`Oils at ${say(worst.atC)}`, (p) => setTemperatures(p, { oilsC: worst.atC }))],
    ),
  ];
}

/** Lye that is wanted hotter than dissolving it makes it. */
function tooHot({ plan, recipe }: Facts): Warning[] {
  if (!recipe || recipe.lye <= 0 || recipe.dissolvingWater <= 0) return [];
  const { lyeC, waterC } = plan.batter.temperatures;
  const peakC = Math.max(15, Math.floor(peakLyeTemperature(recipe.lye, recipe.dissolvingWater, waterC)));
  if (lyeC <= peakC || plan.batter.partLiquids.some((l) => l.moment === 'frozen')) return [];
  const say = (c: Celsius): string => formatTemperature(c, plan.units.temperature);
  return [
    warn(
      { station: 'batter' },
      'lye-too-hot',
      `Lye at ${say(lyeC)} at mixing: dissolved in water of ${say(waterC)} it gets no hotter than ≈ ${say(peakC)}. Lye solution is never heated.`,
      [remedy(`Lye at ${say(peakC)}`, (p) => setTemperatures(p, { lyeC: peakC }))],
    ),
  ];
}

const HEATED: Readonly<Partial<Record<Finish['what'], string>>> = {
  'heating-pad': 'a heating pad',
  'warm-oven': 'a warm oven',
  'oven-held': 'an oven that is on',
};

/** Alcohol mist burns: it is dry before anything goes near heat. */
function mistNearHeat({ plan }: Facts): Warning[] {
  const finishes = plan.steps.filter((s) => s.kind === 'finish');
  const hot = finishes.find((s) => HEATED[s.what] !== undefined);
  if (!hot || !finishes.some((s) => s.what === 'mist')) return [];
  return [
    warn(
      { station: 'clock', step: hot.id },
      'mist-near-heat',
      `Alcohol mist and ${HEATED[hot.what] ?? ''}: its vapour burns. Every trace of it must be dry, half an hour at least in an aired room, before the loaf goes near heat.`,
      [
        remedy('Without mist', (p) => ({
          ...p,
          steps: p.steps.filter((s) => s.kind !== 'finish' || s.what !== 'mist'),
        })),
        remedy('Wrapped instead of heated', (p) => ({
          ...p,
          steps: p.steps.map((s) =>
            s.kind === 'finish' && HEATED[s.what] !== undefined ? { ...s, what: 'insulate' } : s,
          ),
        })),
      ],
    ),
  ];
}

/** What is too cold, too hot, or too near what burns. */
export const temperatureWarnings = (facts: Facts): readonly Warning[] => [
  ...solid(facts),
  ...tooHot(facts),
  ...mistNearHeat(facts),
];
