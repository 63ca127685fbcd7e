import type { Plan } from '../../src/core/plan/planSchema.ts';

/*
 * A second bookkeeping of the pour sheet, from its printed lines alone: each line moves so many grams of what
 * a vessel holds, mixed, into another. Chemistry by hand: NaOH to saponify = sum(oil g x SV / 1000 x 39.997 /
 * 56.106), the saponification values in the middle of the Codex ranges (CXS 210 and 33, from memory), shea by
 * the trade's range.
 */
const MIDDLE_OF: Readonly<Record<string, number>> = {
  'Olive oil': (184 + 196) / 2,
  'Coconut oil': (248 + 265) / 2,
  'Shea butter': (170 + 190) / 2,
  'Sunflower oil, high oleic': (182 + 194) / 2,
};

export interface PrintedLine {
  readonly name: string;
  readonly mass_g: number;
  readonly times?: number;
  readonly from: string;
  readonly to: string;
}

export interface PrintedTask {
  readonly id: string;
  readonly chapter: string;
  readonly text: string;
  readonly lines: readonly PrintedLine[];
}

type Held = Map<string, number>;

const total = (held: Held): number => [...held.values()].reduce((a, b) => a + b, 0);

export interface Recount {
  readonly vessels: ReadonlyMap<string, Held>;
  /** g that the supply gave */
  readonly supplied: number;
  /** the lowest that any vessel ever went, g: 0 when nothing is drawn that is not there */
  readonly lowest: number;
  /**
   * superfat of what each task drew out of a pot into the mould, percent, by the task and the pot: "pour:s1
   * p1"
   */
  readonly poured: ReadonlyMap<string, number>;
}

export function superfatOf(held: Held, plan: Plan): number {
  let need = 0;
  let lye = 0;
  for (const [name, g] of held) {
    const sv = MIDDLE_OF[name];
    if (sv !== undefined) need += (g * sv * 39.997) / 56.106 / 1000;
    if (name.startsWith('Sodium hydroxide')) lye += (g * plan.batter.purityPercent) / 100;
  }
  return (1 - lye / need) * 100;
}

/** Do what the sheet says, line by line. */
export function follow(tasks: readonly PrintedTask[], plan: Plan): Recount {
  const vessels = new Map<string, Held>();
  const poured = new Map<string, number>();
  let supplied = 0;
  let lowest = 0;
  const of = (name: string): Held => {
    const held = vessels.get(name) ?? new Map<string, number>();
    vessels.set(name, held);
    return held;
  };
  for (const task of tasks)
    for (const line of task.lines) {
      const grams = line.mass_g * (line.times ?? 1);
      const to = of(line.to);
      if (line.from === 'supply') {
        supplied += grams;
        to.set(line.name, (to.get(line.name) ?? 0) + grams);
        continue;
      }
      const from = of(line.from);
      const there = total(from);
      lowest = Math.min(lowest, there - grams);
      // a layer that is scraped stands by itself until it is
      if (/^(mould|layer)(:|$)/.test(line.to) && grams > 0) {
        const [, pot] = line.from.split(':');
        poured.set(`${task.id} ${pot ?? ''}`, superfatOf(from, plan));
      }
      for (const [name, g] of [...from]) {
        const part = there > 0 ? (g * grams) / there : 0;
        from.set(name, g - part);
        to.set(name, (to.get(name) ?? 0) + part);
      }
    }
  return { vessels, supplied, lowest, poured };
}

export const totalOf = (recount: Recount): number =>
  [...recount.vessels.values()].reduce((s, held) => s + total(held), 0);
