import type { FaultCode } from '../result/codes.ts';
import type { Fault } from '../result/result.ts';
import { unitWritten } from '../units/factors.ts';
import { parseQuantity } from '../units/parseQuantity.ts';
import type { Grams, Percent } from '../units/quantity.ts';
import type { Oil } from './oil.ts';
import { oilNamed } from './oilNames.ts';

/** An oil of a written recipe, as it stands there. */
export interface WrittenOil {
  /** 1 the first */
  readonly line: number;
  readonly name: string;
  readonly oil: Oil | undefined;
  readonly amount:
    | { readonly kind: 'mass'; readonly massG: Grams }
    | { readonly kind: 'percent'; readonly percent: Percent };
}

/** A written recipe, read line by line. What could not be read is told by line and word; the rest is read. */
export interface WrittenRecipe {
  readonly oils: readonly WrittenOil[];
  readonly lyeG: Grams | undefined;
  readonly waterG: Grams | undefined;
  readonly superfatPercent: Percent | undefined;
  readonly faults: readonly (Fault & { readonly line: number })[];
}

const LYE = /^(lye|sodium hydroxide|naoh|caustic soda)$/;
const WATER = /^(water|distilled water|deionised water|liquid)$/;
const SUPERFAT = /^(super ?fat|sf|lye discount)$/;

const percentUnit = (() => {
  const unit = unitWritten('%');
  if (!unit) throw new RangeError('no unit %');
  return unit;
})();

/** Where an amount ends and a name begins, or the other way round. */
const NUMBER_FIRST = /^[-+]?[\d.¼½¾⅛⅜⅝⅞⅓⅔]/;

interface Read {
  readonly name: string;
  readonly amount: WrittenOil['amount'] | 'bare';
  readonly figure: number;
}

/** So many words from one end, as a quantity: the most that can be read as one. */
function splitLine(line: string): Read | { readonly word: string } {
  const words = line.split(/\s+/);
  const first = NUMBER_FIRST.test(line);
  const tryWords = (amount: readonly string[], name: readonly string[]): Read | undefined => {
    const text = amount.join(' ');
    if (!/\d|[¼½¾⅛⅜⅝⅞⅓⅔]/.test(text) || name.length === 0) return undefined;
    const read = parseQuantity(text, percentUnit);
    if (!read.ok || (read.value.dimension !== 'mass' && read.value.dimension !== 'share')) return undefined;
    const clean = name.join(' ').replaceAll(/^[\s:–—-]+|[\s:,–—-]+$/g, '');
    if (clean === '' || !/[a-z]/i.test(clean)) return undefined;
    const bare = !/[a-z%"]/i.test(text);
    // "3 cups coconut oil": the figure has a unit, and it is not one of weight
    if (bare && unitWritten((first ? name[0] : name.at(-1)) ?? '')) return undefined;
    return {
      name: clean,
      amount: bare
        ? 'bare'
        : read.value.dimension === 'mass'
          ? { kind: 'mass', massG: read.value.value }
          : { kind: 'percent', percent: read.value.value },
      figure: read.value.value,
    };
  };
  for (let n = words.length - 1; n >= 1; n -= 1) {
    const read = first
      ? tryWords(words.slice(0, n), words.slice(n))
      : tryWords(words.slice(-n), words.slice(0, -n));
    if (read) return read;
  }
  const at = words.findIndex((w) => /[\d¼½¾⅛⅜⅝⅞⅓⅔]/.test(w));
  const unit = words[at + 1];
  return { word: [words[at] ?? line, ...(unit !== undefined && unitWritten(unit) ? [unit] : [])].join(' ') };
}

/** A list on one line is parted at a comma that a new amount follows; "1 lb, 4 oz" stays one amount. */
const partsOf = (line: string): readonly string[] =>
  line
    .split(/\s+\/\s+|;/)
    .flatMap((part) => part.split(/(?<=[a-z]{3,}|%)\s*,\s+(?=\d)/i))
    .map((part) => part.replace(/^[\s*•·–-]+(?=\S)/, '').trim())
    .filter((part) => part !== '');

const fault = (line: number, code: FaultCode, message: string): Fault & { readonly line: number } => ({
  code,
  message: `line ${line}: ${message}`,
  at: `line ${line}`,
  line,
});

/**
 * Read a recipe as makers write it down: one ingredient a line (or parted by ";", " / " or commas), its
 * amount before or after its name, in any unit of mass or in percent of the oils; lye, water and superfat
 * among them. A first line without a figure is a title.
 */
export function readRecipeText(text: string): WrittenRecipe {
  const oils: WrittenOil[] = [];
  const faults: (Fault & { readonly line: number })[] = [];
  let lyeG: Grams | undefined;
  let waterG: Grams | undefined;
  let superfatPercent: Percent | undefined;
  const bare: { readonly index: number; readonly figure: number }[] = [];
  text.split(/\r?\n/).forEach((written, i) => {
    const line = i + 1;
    for (const part of partsOf(written)) {
      if (!/\d|[¼½¾⅛⅜⅝⅞⅓⅔]/.test(part)) {
        if (!(line === 1 || part.endsWith(':') || /^(oils?|recipe|lye|water|ingredients)$/i.test(part)))
          faults.push(fault(line, 'no-amount', `"${part}" has no amount`));
        continue;
      }
      const read = splitLine(part);
      if ('word' in read) {
        faults.push(
          fault(line, 'not-read', `"${read.word}" is no weight or percent that can be read, in "${part}"`),
        );
        continue;
      }
      const name = read.name.toLowerCase();
      const { amount } = read;
      if (SUPERFAT.test(name)) {
        if (amount !== 'bare' && amount.kind === 'mass')
          faults.push(fault(line, 'not-percent', `superfat is a percentage, and "${part}" is a weight`));
        else superfatPercent = read.figure;
      } else if (LYE.test(name) || WATER.test(name)) {
        if (amount === 'bare' || amount.kind !== 'mass')
          faults.push(fault(line, 'not-mass', `"${part}" wants a weight, as in "142 g" or "5 oz"`));
        else if (LYE.test(name)) lyeG = (lyeG ?? 0) + amount.massG;
        else waterG = (waterG ?? 0) + amount.massG;
      } else if (read.figure < 0) {
        faults.push(fault(line, 'negative', `"${part}" is less than nothing`));
      } else {
        if (amount === 'bare') bare.push({ index: oils.length, figure: read.figure });
        oils.push({
          line,
          name: read.name,
          oil: oilNamed(read.name),
          amount: amount === 'bare' ? { kind: 'percent', percent: read.figure } : amount,
        });
      }
    }
  });
  // figures without a unit are percents only where nothing else in the recipe is a weight
  if (oils.some((o) => o.amount.kind === 'mass'))
    for (const { index, figure } of bare)
      faults.push(
        fault(
          oils[index]?.line ?? 1,
          'no-unit',
          `"${figure}" of ${oils[index]?.name ?? ''} has no unit: g, oz or %?`,
        ),
      );
  return { oils, lyeG, waterG, superfatPercent, faults };
}

/**
 * The share of every oil, 0..1, adding up to 1, and what all oils weigh where weights say so. Percents are of
 * all oils: weights share what they leave. Undefined, with a fault, where that cannot be.
 */
export function sharesOf(
  oils: readonly WrittenOil[],
): { readonly shares: readonly number[]; readonly totalG: Grams | undefined } | { readonly fault: string } {
  const percents = oils.reduce((s, o) => s + (o.amount.kind === 'percent' ? o.amount.percent : 0), 0);
  const weights = oils.reduce((s, o) => s + (o.amount.kind === 'mass' ? o.amount.massG : 0), 0);
  if (oils.length === 0) return { fault: 'There is no oil in it yet' };
  if (weights === 0)
    return percents > 0
      ? {
          shares: oils.map((o) => (o.amount.kind === 'percent' ? o.amount.percent / percents : 0)),
          totalG: undefined,
        }
      : { fault: 'All its oils weigh nothing' };
  if (percents >= 100)
    return {
      fault: `Percents of ${Number(percents.toPrecision(6))} % leave nothing for the oils given by weight`,
    };
  const totalG = weights / (1 - percents / 100);
  return {
    shares: oils.map((o) => (o.amount.kind === 'percent' ? o.amount.percent / 100 : o.amount.massG / totalG)),
    totalG,
  };
}
