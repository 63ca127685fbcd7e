import type { MouldFacts } from '../advice/facts.ts';
import type { Computed } from '../computed/compute.ts';
import { VESSEL } from '../day/vessel.ts';
import type { Day, DayAct } from '../day/act.ts';
import { massOfContents } from '../ledger/contents.ts';
import { heldAfter, heldBefore, type Ledger } from '../ledger/ledger.ts';
import { pourNames } from '../plan/deposits.ts';
import { isAbout, mouldNames, mouldOfStep } from '../plan/moulds.ts';
import type { Step } from '../plan/stepSchema.ts';
import type { Grams } from '../units/quantity.ts';
import { clean } from '../weigh/ingredients.ts';
import type { PotWeight, Weights } from '../weigh/weights.ts';
import type { Running } from './act.ts';

/** What is known while the acts of a day are told. */
export interface Telling {
  readonly computed: Computed;
  readonly w: Weights;
  readonly day: Day;
  /** of moulds, and of pours, by their ids */
  readonly names: ReadonlyMap<string, string>;
  readonly pours: ReadonlyMap<string, string>;
}

export const tellingOf = (computed: Computed, w: Weights): Telling => ({
  computed,
  w,
  day: computed.day,
  names: mouldNames(computed.plan),
  pours: pourNames(computed.plan),
});

/** Where there are several moulds, which one is meant. */
export const inNamed = ({ computed, names }: Telling, mouldId: string): string | undefined =>
  computed.moulds.length > 1 ? names.get(mouldId) : undefined;

export const named = (mould: string | undefined): { readonly mould?: string } =>
  mould === undefined ? {} : { mould };

/** The moulds that a step is about: its own, and with the first those that follow its design. */
export const mouldsOf = ({ computed }: Telling, step: Step): readonly MouldFacts[] =>
  computed.moulds.filter((m) => isAbout(m.use, step));

/** One kind of mould, as it is filled. */
export const mouldFacts = ({ computed }: Telling, id: string): MouldFacts =>
  computed.moulds.find((m) => m.use.id === id) ?? computed.moulds[0];

/** The mould that a step is about. */
export const factsOf = (telling: Telling, step: Step): MouldFacts => mouldFacts(telling, mouldOfStep(step));

export const weightOf = ({ w }: Telling, potId: string): PotWeight | undefined =>
  w.pots.find((p) => p.pot.id === potId);

/** What is in one mould of a kind, layers that are still to be scraped among it, g. */
function inMould(
  { w: { ledger } }: Telling,
  act: DayAct,
  { use: { id, copies } }: MouldFacts,
  held: typeof heldAfter | typeof heldBefore,
): Grams {
  const sum = (l: Ledger): Grams =>
    [...l.vessels.values()].reduce(
      (s, v) => (v.kind === 'layer' && v.mould === id ? s + massOfContents(held(l, act.id, v)) : s),
      massOfContents(held(l, act.id, VESSEL.mould(id))),
    );
  return clean(sum(ledger) / copies);
}

export const inMouldBefore = (telling: Telling, act: DayAct, of: MouldFacts): Grams =>
  inMould(telling, act, of, heldBefore);

/** What is in each of some moulds once an act is done, and what its pours come to in the end. */
export const runningIn = (telling: Telling, act: DayAct, into: readonly MouldFacts[]): readonly Running[] =>
  into.map((m) => {
    const last = telling.day.findLast(
      (a) => (a.does === 'pour' || a.does === 'scrape') && isAbout(m.use, a.step),
    );
    const name = inNamed(telling, m.use.id);
    return {
      inMouldG: inMould(telling, act, m, heldAfter),
      ofG: inMould(telling, last ?? act, m, heldAfter),
      moulds: m.use.copies,
      ...(name === undefined ? {} : { name }),
    };
  });
