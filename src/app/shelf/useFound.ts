import { pouredPots } from '../../core/plan/sources.ts';
import { useMemo, useState } from 'react';
import { labOfHex, type Lab } from '../../core/colour/lab.ts';
import { wheelOf } from '../../core/colour/painterWheel.ts';
import type { Plan } from '../../core/plan/planSchema.ts';
import type { Query } from '../../store/ask.ts';
import { eachPlan, type PlanEntry } from '../../store/tables/plans.ts';
import { upToDate } from '../../store/tables/upToDate.ts';
import { useLive } from '../parts/useLive.ts';

export const ORDERS = ['newest', 'name', 'mould', 'colour'] as const;
export type Order = (typeof ORDERS)[number];

/** What is looked through and put in order of one plan. */
interface Indexed {
  readonly text: string;
  readonly mould: string;
  /** degrees on the painter's wheel of its most colourful colour; greys and whites come last */
  readonly hue: number;
}

/** Less chroma than this is no colour to put in order. */
const GREY = 12;
const COLOURLESS = 400;

/**
 * The most colourful of what a plan is poured in: colours given by hand, and colorants of its pots and
 * ombres.
 */
function hueOf(plan: Plan): number {
  const poured = pouredPots(plan);
  const pots = plan.pots.filter((p) => poured.has(p.id));
  const mixes = [...pots.map((p) => p.colorants), ...plan.ombres.flatMap((o) => [o.from, o.to])];
  const used = new Set(mixes.flat().map((m) => m.colorant));
  const labs = [
    ...pots.flatMap((p) => p.colour ?? []),
    ...plan.colorants.flatMap((c) => (used.has(c.id) ? (c.nature?.colour ?? []) : [])),
  ].map(labOfHex);
  const chroma = (lab: Lab): number => Math.hypot(lab[1], lab[2]);
  const most = labs.toSorted((a, b) => chroma(b) - chroma(a))[0];
  return most === undefined || chroma(most) < GREY ? COLOURLESS : wheelOf(most);
}

function index(value: unknown): Indexed | undefined {
  const plan = value as Plan;
  try {
    return {
      text: [
        plan.name,
        plan.notes,
        plan.mould.name,
        ...plan.others.map((o) => o.mould.name),
        ...plan.pots.map((p) => p.name),
      ]
        .join('\n')
        .toLowerCase(),
      mould: plan.mould.name.toLowerCase(),
      hue: hueOf(plan),
    };
  } catch {
    // a damaged record is found by its name alone
    return undefined;
  }
}

const all: Query<ReadonlyMap<string, Indexed>> = async (db) => {
  const found = new Map<string, Indexed>();
  await eachPlan(db, (r) => {
    const one = index(upToDate(r.plan, r.version));
    if (one) found.set(r.id, one);
  });
  return found;
};

const none = (): Promise<undefined> => Promise.resolve(undefined);

/**
 * The entries that hold the words sought, in their name, notes, mould or pots, in an order. Plans are read
 * for it only where names and dates are not enough.
 */
export function useFound(
  entries: readonly PlanEntry[] | undefined,
  sought: string,
  order: Order,
): readonly PlanEntry[] | undefined {
  const words = sought.trim().toLowerCase();
  const wanted = words !== '' || order === 'mould' || order === 'colour';
  const known = useLive<ReadonlyMap<string, Indexed> | undefined>(wanted ? all : none);
  const [before, setBefore] = useState<readonly PlanEntry[]>();
  const shown = useMemo(() => {
    const found = entries?.filter(
      (e) =>
        e.name.toLowerCase().includes(words) ||
        (words !== '' && (known?.get(e.id)?.text.includes(words) ?? false)),
    );
    if (!found || order === 'newest') return found;
    const by = (e: PlanEntry): string | number => {
      if (order === 'name') return e.name.toLowerCase();
      const one = known?.get(e.id);
      return order === 'mould' ? (one?.mould ?? '') : (one?.hue ?? 500);
    };
    return found.toSorted((a, b) => {
      const [x, y] = [by(a), by(b)];
      return typeof x === 'number' && typeof y === 'number'
        ? x - y
        : String(x).localeCompare(String(y), 'en', { numeric: true });
    });
  }, [entries, words, order, known]);
  // until the plans are read the cards stay as they were, rather than be put in an order that is wrong
  if (wanted && entries && !known && before) return before;
  if (shown !== before) setBefore(shown);
  return shown;
}
