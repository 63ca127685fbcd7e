import type { Plan, Pot } from '../plan/planSchema.ts';
import type { Act } from '../procedure/act.ts';
import type { Tool } from '../procedure/deeds.ts';
import { PROTECTS, toolText } from '../procedure/words/before.ts';
import { sayingOf } from '../procedure/words/says.ts';
import { wordsOf } from '../procedure/words/wordsOf.ts';
import type { Grams } from '../units/quantity.ts';
import { upperFirst } from '../units/words.ts';
import { clean } from '../weigh/ingredients.ts';

/** What it is that is laid out, one heading each. */
export type LaidOut = 'protect' | 'mould' | 'jugs' | 'tools' | 'stores';

/** One thing to have ready, to be ticked or passed over with a reason. */
export interface ToLayOut {
  /** what it is known by in the batch */
  readonly id: string;
  readonly group: LaidOut;
  readonly text: string;
  readonly caution?: string;
  /** of the stores: how much of it, and as the ledger names it */
  readonly massG?: Grams;
  readonly fine?: boolean;
  readonly lye?: boolean;
  readonly substance?: string;
  readonly pot?: Pot;
}

const GROUP: Readonly<Partial<Record<Act['deed']['does'], LaidOut>>> = {
  protect: 'protect',
  'read-data-sheets': 'protect',
  'lay-out-mould': 'mould',
  'lay-mat': 'mould',
  'set-divider': 'mould',
  'stand-columns': 'mould',
  'lay-out-jugs': 'jugs',
  'lay-out-scales': 'tools',
  'lay-out-tools': 'tools',
  'lay-out-fragrance': 'stores',
};

function jugs(plan: Plan, { deed, id }: Act): readonly ToLayOut[] {
  if (deed.does !== 'lay-out-jugs') return [];
  const { letters, stocks, known, piped } = deed;
  const { mass } = sayingOf(plan, undefined);
  const jug = (name: string, text: string, pot?: Pot): ToLayOut => ({
    id: `${id}:${name}`,
    group: 'jugs',
    text,
    ...(pot ? { pot } : {}),
  });
  const own = letters.map((letter) => {
    const tare = known.find((k) => k.letter === letter);
    const weight = tare ? `${tare.name}, ${mass(tare.tareG)} empty` : 'weighed empty';
    const pot = plan.pots.find((p) => p.letter === letter);
    return jug(letter, `Jug ${letter}${pot ? `, ${pot.name}` : ''}: clean and dry, ${weight}.`, pot);
  });
  return [
    jug('lye', 'A heat-safe jug for the lye, and a dry labelled cup to weigh it into.'),
    ...own,
    ...(stocks ? [jug('stocks', 'A jug for each stock.')] : []),
    ...(piped ? [jug('piped', `For piping: jugs ${piped.join(', ')}, and one more for its lye.`)] : []),
    jug('labels', 'A label on every jug, that of the lye first.'),
  ];
}

function tools(plan: Plan, { deed, id }: Act): readonly ToLayOut[] {
  if (deed.does !== 'lay-out-tools') return [];
  const say = sayingOf(plan, undefined);
  const nth = new Map<Tool['tool'], number>();
  return deed.tools.map((tool) => {
    const n = (nth.get(tool.tool) ?? 0) + 1;
    nth.set(tool.tool, n);
    return {
      id: `${id}:${tool.tool}${n > 1 ? `:${n}` : ''}`,
      group: 'tools',
      text: `${upperFirst(toolText(tool, say))}.`,
    };
  });
}

/** Slanted pours are poured up to marks on the walls. */
function marks(acts: readonly Act[]): readonly ToLayOut[] {
  const slanted = acts.some(
    ({ deed }) =>
      deed.does === 'pour' &&
      deed.surfaces.some(
        ({ heightsMm: h }) =>
          Math.max(h.left, h.right, h.near, h.far) - Math.min(h.left, h.right, h.near, h.far) > SAME_MM,
      ),
  );
  if (!slanted) return [];
  const text = 'Marks on the walls of the mould for each slanted pour: the sheet has their heights.';
  return [{ id: 'lay-out:marks', group: 'mould', text }];
}

/** Nearer than this, mm, and a surface is level. */
const SAME_MM = 0.5;

/** Everything that is weighed out of the stores on the day, each thing once with all of it. */
function stores(acts: readonly Act[]): readonly ToLayOut[] {
  const all = new Map<string, ToLayOut & { readonly massG: Grams }>();
  for (const { name, massG, times, fine, lye, from, to, substance, parts } of acts.flatMap((a) => a.lines)) {
    if (from.kind !== 'supply') continue;
    const id = `stores:${name}`;
    const before = all.get(id);
    // a jar that stands ready is one thing, whatever is in it
    const what = parts && to.kind === 'jar' ? `jar:${to.colorant}` : substance;
    all.set(id, {
      id,
      group: 'stores',
      text: name,
      massG: clean((before?.massG ?? 0) + massG * times),
      fine: fine && (before?.fine ?? true),
      ...(lye ? { lye } : {}),
      ...(what === undefined ? {} : { substance: what }),
    });
  }
  return [...all.values()];
}

/**
 * What is to be ready before lye is made, from the acts of the whole day: nothing in it is passed over
 * silently.
 */
export function layingOut(plan: Plan, ready: readonly Act[], acts: readonly Act[]): readonly ToLayOut[] {
  const told = ready.flatMap((act): readonly ToLayOut[] => {
    const { text, caution } = wordsOf(act, plan);
    const group = GROUP[act.deed.does];
    const more = caution === undefined ? {} : { caution };
    if (act.deed.does === 'protect')
      return Object.entries(PROTECTS).map(([name, says]) => ({
        id: `${act.id}:${name}`,
        group: 'protect' as const,
        text: says,
        ...(name === 'wear' ? more : {}),
      }));
    if (act.deed.does === 'lay-out-jugs') return jugs(plan, act);
    if (act.deed.does === 'lay-out-tools') return tools(plan, act);
    return group ? [{ id: act.id, group, text, ...more }] : [];
  });
  return [...told, ...marks(acts), ...stores(acts)];
}
