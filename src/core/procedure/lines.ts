import { potOfVessel, VESSEL, type Vessel } from '../day/vessel.ts';
import type { ActId } from '../day/act.ts';
import { grouped } from '../ledger/grouped.ts';
import { massOfKinds } from '../ledger/balance.ts';
import { massOfContents } from '../ledger/contents.ts';
import { heldAfter, heldBefore, transfersOf, type Transfer } from '../ledger/ledger.ts';
import { formatMass, formatPercent } from '../units/format.ts';
import type { Grams } from '../units/quantity.ts';
import { lowerFirst } from '../units/words.ts';
import { downToStep } from '../units/scaleStep.ts';
import { clean } from '../weigh/ingredients.ts';
import { SUBSTANCE } from '../weigh/substances.ts';
import type { Weights } from '../weigh/weights.ts';
import type { Computed } from '../computed/compute.ts';
import type { Line } from './act.ts';

/** Less than this is a double's dust, g. */
const DUST_G = 1e-4;

type Stock = Extract<Vessel, { kind: 'stock' }>;

function stockName(w: Weights, { ombre: id, which }: Stock): string {
  const ombre = w.ombres.find((o) => o.ombre.id === id);
  return ombre?.school === 'master-blends' ? ombre[which].name : 'Stock';
}

/** Dispersed colorant out of its jar. */
function dispersedName({ plan }: Computed, w: Weights, { what }: Transfer, id: string): string {
  const colorant = plan.colorants.find((c) => c.id === id);
  if (colorant?.nature?.carrier === 'none') return `${colorant.name}, sifted in dry`;
  if (!colorant?.nature) return `${colorant?.name ?? 'Colorant'}, dispersed, its powder alone`;
  const powderG = massOfKinds(what, w.substances, ['colorant']);
  return `${colorant.name}, dispersed (${formatMass(powderG, 'g', plan.units.fineStepG)} of powder)`;
}

/** What a transfer puts on the scale, as a maker calls it. */
export function nameOf(computed: Computed, w: Weights, t: Transfer): string {
  const { plan } = computed;
  const { from, to } = t;
  switch (from.kind) {
    case 'supply': {
      const [id = ''] = t.what.keys();
      const name = w.substances.get(id)?.name ?? id;
      return id === SUBSTANCE.lye ? `${name}, ${formatPercent(plan.batter.purityPercent)} pure` : name;
    }
    case 'lye':
      return to.kind === 'oils' ? 'Lye solution, all of it' : 'Lye solution';
    case 'carrier-oil':
      return 'Oil set aside for the colorants';
    case 'jar':
      return dispersedName(computed, w, t, from.colorant);
    case 'stock':
      return stockName(w, from);
    case 'plain':
      return 'Plain batter kept for it';
    case 'cup':
      return 'All that is in the cup';
    default: {
      if (to.kind === 'plain') return 'Plain batter to keep for it';
      if (to.kind === 'spare') return 'Spare batter';
      const what = from.kind === 'oils' && plan.divide.kind === 'before-lye' ? 'Mixed oils' : 'Batter';
      return to.kind === 'stock' ? `${what} for the ${lowerFirst(stockName(w, to))}` : what;
    }
  }
}

/** One transfer as a line of the sheet; `times`: it is put on the scale once for each of so many moulds. */
function lineOf(computed: Computed, w: Weights, t: Transfer, times: number): Line {
  const pot = potOfVessel(t.to) ?? potOfVessel(t.from);
  const supplied = t.from.kind === 'supply';
  const [substance] = supplied ? t.what.keys() : [];
  return {
    name: nameOf(computed, w, t),
    massG: clean(t.massG / times),
    times,
    fine: t.fine,
    lye: t.from.kind === 'lye' || (supplied && t.what.has(SUBSTANCE.lye)),
    from: t.from,
    to: t.to,
    ...(pot === undefined ? {} : { pot }),
    ...(substance === undefined ? {} : { substance }),
  };
}

/** What is weighed out of a jar that stands ready: powder and what it is dispersed in together. */
function fromJar({ plan }: Computed, parts: readonly Line[], to: Vessel): Line {
  const [powder] = parts;
  const { name = 'Colorant', massG = 0 } = powder ?? {};
  return {
    name: `${name} from its jar (${formatMass(massG, 'g', plan.units.fineStepG)} of powder)`,
    massG: sumOfLines(parts),
    times: 1,
    fine: true,
    lye: false,
    from: VESSEL.supply,
    to,
    parts,
  };
}

const isReady = ({ plan }: Computed, { from, to }: Transfer): boolean =>
  from.kind === 'supply' &&
  to.kind === 'jar' &&
  plan.colorants.some((c) => c.id === to.colorant && c.jar !== undefined);

/** Everything that one act puts on the scale, in order. */
export function linesOf(computed: Computed, w: Weights, act: ActId): readonly Line[] {
  const transfers = transfersOf(w.ledger, act);
  const ready = grouped(transfers, (t) => (isReady(computed, t) ? t.to.key : undefined));
  return transfers.flatMap((t): readonly Line[] => {
    const together = isReady(computed, t) ? ready.get(t.to.key) : undefined;
    if (!together) return [lineOf(computed, w, t, 1)];
    if (together[0] !== t) return [];
    return [
      fromJar(
        computed,
        together.map((own) => lineOf(computed, w, own, 1)),
        t.to,
      ),
    ];
  });
}

/**
 * One amount for each of so many moulds alike: what cannot be parted evenly at the scale's step, the last one
 * takes.
 */
function eachOf(line: Line, wholeG: Grams, stepG: Grams): readonly Line[] {
  const { times, massG } = line;
  const downG = downToStep(massG, stepG);
  if (times === 1 || massG - downG < DUST_G) return [line];
  const lastG = clean(wholeG - downG * (times - 1));
  return [
    { ...line, massG: downG, times: times - 1 },
    { ...line, massG: lastG, times: 1, last: true },
  ];
}

/** The same of an act that fills moulds: once for each of those that are filled alike. */
export const linesInto = (computed: Computed, w: Weights, act: ActId): readonly Line[] =>
  transfersOf(w.ledger, act).flatMap((t) => {
    const { to } = t;
    const into = to.kind === 'mould' || to.kind === 'layer' ? to.mould : undefined;
    const { scaleStepG, fineStepG } = computed.plan.units;
    const copies = computed.moulds.find((m) => m.use.id === into)?.use.copies ?? 1;
    return eachOf(lineOf(computed, w, t, copies), t.massG, t.fine ? fineStepG : scaleStepG);
  });

/** Several transfers seen as one amount. */
export const sumOfLines = (lines: readonly Line[]): number =>
  clean(lines.reduce((s, l) => s + l.massG * l.times, 0));

/** What a vessel holds as an act begins, and once it is done, g. */
export const foundIn = ({ ledger }: Weights, act: ActId, vessel: Vessel): Grams =>
  clean(massOfContents(heldBefore(ledger, act, vessel)));

export const leftAfter = ({ ledger }: Weights, act: ActId, vessel: Vessel): Grams =>
  clean(massOfContents(heldAfter(ledger, act, vessel)));
