import { massOfContents } from '../ledger/contents.ts';
import { massOfKinds } from '../ledger/balance.ts';
import { SUPPLY, transfersOf, type Transfer } from '../ledger/ledger.ts';
import { formatMass, formatPercent } from '../units/format.ts';
import { lowerFirst } from '../units/words.ts';
import { VESSEL } from '../weigh/acts.ts';
import { SUBSTANCE } from '../weigh/substances.ts';
import { clean } from '../weigh/ingredients.ts';
import type { Weights } from '../weigh/weights.ts';
import type { Computed } from '../computed/compute.ts';
import type { Line } from './act.ts';

/** "pot:p1" is pot p1, "stock:o1:first" the first stock of ombre o1. */
const rest = (vessel: string): string => vessel.slice(vessel.indexOf(':') + 1);
const isA = (vessel: string, kind: string): boolean => vessel.startsWith(`${kind}:`);

function stockName(w: Weights, vessel: string): string {
  const [id, which] = rest(vessel).split(':');
  const ombre = w.ombres.find((o) => o.ombre.id === id);
  return ombre?.school === 'master-blends' ? ombre[which === 'last' ? 'last' : 'first'].name : 'Stock';
}

/** What a transfer puts on the scale, as a maker calls it. */
function nameOf({ plan }: Computed, w: Weights, t: Transfer): string {
  if (t.from === SUPPLY) {
    const [id = ''] = t.what.keys();
    const name = w.substances.get(id)?.name ?? id;
    return id === 'lye' ? `${name}, ${formatPercent(plan.batter.purityPercent)} pure` : name;
  }
  if (t.from === VESSEL.lye) return t.to === VESSEL.oils ? 'Lye solution, all of it' : 'Lye solution';
  if (t.from === VESSEL.carrierOil) return 'Oil set aside for the colorants';
  if (isA(t.from, 'jar')) {
    const colorant = plan.colorants.find((c) => c.id === rest(t.from));
    if (colorant?.nature?.carrier === 'none') return `${colorant.name}, sifted in dry`;
    if (!colorant?.nature) return `${colorant?.name ?? 'Colorant'}, dispersed, its powder alone`;
    const powderG = massOfKinds(t.what, w.substances, ['colorant']);
    return `${colorant.name}, dispersed (${formatMass(powderG, 'g', plan.units.fineStepG)} of powder)`;
  }
  if (isA(t.from, 'stock')) return stockName(w, t.from);
  if (isA(t.from, 'plain')) return 'Plain batter kept for it';
  if (isA(t.to, 'plain')) return 'Plain batter to keep for it';
  if (isA(t.from, 'cup')) return 'All that is in the cup';
  if (t.to === VESSEL.spare) return 'Spare batter';
  const what = t.from === VESSEL.oils && plan.divide.kind === 'before-lye' ? 'Mixed oils' : 'Batter';
  return isA(t.to, 'stock') ? `${what} for the ${lowerFirst(stockName(w, t.to))}` : what;
}

/** One transfer as a line of the sheet. */
export function lineOf(computed: Computed, w: Weights, t: Transfer): Line {
  const use =
    isA(t.act, 'pour') &&
    computed.moulds.find(({ use: { id } }) =>
      [VESSEL.mould(id), VESSEL.layer(rest(t.act), id)].includes(t.to),
    )?.use;
  const times = use ? use.copies : 1;
  const vessel = [t.to, t.from].find((v) => isA(v, 'pot') || isA(v, 'plain') || isA(v, 'cup'));
  const [substance] = t.from === SUPPLY ? t.what.keys() : [];
  return {
    name: nameOf(computed, w, t),
    massG: clean(t.massG / times),
    times,
    fine: t.fine,
    lye: t.from === VESSEL.lye || (t.what.has(SUBSTANCE.lye) && t.from === SUPPLY),
    from: t.from,
    to: t.to,
    ...(vessel === undefined ? {} : { pot: rest(vessel).split(':')[0] ?? '' }),
    ...(substance === undefined ? {} : { substance }),
  };
}

/** Everything that one act puts on the scale, in order. */
export const linesOf = (computed: Computed, w: Weights, act: string): readonly Line[] =>
  transfersOf(w.ledger, act).map((t) => lineOf(computed, w, t));

/** Several transfers seen as one amount. */
export const sumOfLines = (lines: readonly Line[]): number =>
  clean(lines.reduce((s, l) => s + l.massG * l.times, 0));

/** What an act finds in a vessel: all that went in and out of it before, g. */
export function heldBefore(w: Weights, act: string, vessel: string): number {
  let massG = 0;
  for (const t of w.ledger.transfers) {
    if (t.act === act) break;
    if (t.to === vessel) massG += massOfContents(t.what);
    if (t.from === vessel) massG -= massOfContents(t.what);
  }
  return clean(massG);
}
