import type { OilLine } from '../../src/core/batter/schema.ts';
import type { Plan } from '../../src/core/plan/planSchema.ts';

/*
 * A third bookkeeping of the sheet: from its printed lines and the plan's own figures alone, nothing of the
 * product's ledger. Each line moves grams of a mixed vessel. Pure NaOH that a gram of oil can use is SV /
 * 1000 x 39.997 / 56.106 (SV in mg KOH/g, ISO 3657); the library's values are the middles of the Codex ranges
 * (CXS 210, 33 and 211; castor and cocoa butter by the pharmacopoeia), from memory.
 */
const RANGES: Readonly<Record<string, readonly [name: string, low: number, high: number]>> = {
  olive: ['Olive oil', 184, 196],
  coconut: ['Coconut oil', 248, 265],
  palm: ['Palm oil', 190, 209],
  shea: ['Shea butter', 170, 190],
  sunflower: ['Sunflower oil', 188, 194],
  'sunflower-high-oleic': ['Sunflower oil, high oleic', 182, 194],
  castor: ['Castor oil', 176, 187],
  lard: ['Lard', 192, 203],
  'cocoa-butter': ['Cocoa butter', 188, 200],
  'rice-bran': ['Rice bran oil', 180, 199],
};
/**
 * An oil in a jar that nobody named is counted as the light oil that can use least: avocado at its low end.
 */
const LEAST = 170;

export interface SheetLine {
  readonly name: string;
  readonly mass_g: number;
  readonly times?: number;
  readonly from: string;
  readonly to: string;
  readonly parts?: readonly { readonly name: string; readonly mass_g: number }[];
}

export interface SheetAct {
  readonly id: string;
  readonly lines: readonly SheetLine[];
  readonly lye_heavy?: readonly {
    readonly vessel: string;
    readonly superfat_percent: number;
    readonly until: readonly string[];
  }[];
}

const need = (svMgG: number): number => ((svMgG / 1000) * 39.997) / 56.106;

/** What each name on the sheet can use of NaOH, by the plan's own lines. */
function needs(plan: Plan): (name: string) => number {
  const known = new Map<string, number>();
  const put = (o: OilLine): void => {
    const [name, low, high] = o.custom
      ? [o.custom.name, o.custom.svLow, o.custom.svHigh]
      : (RANGES[o.oil] ?? [o.oil, 0, 0]);
    const sv = o.svMgG ?? (low + high) / 2;
    // a lot is named by its value; the name alone is the oil in the middle of its range
    known.set(`${name}, ${Number(sv.toFixed(2))} mg KOH/g`, need(sv));
    known.set(name, need((low + high) / 2));
  };
  for (const batter of [plan.batter, ...(plan.second ? [plan.second.batter] : [])]) {
    for (const o of batter.lateOils) put(o);
    for (const o of batter.oils) put(o);
  }
  for (const p of plan.pots) for (const o of p.own?.oils ?? []) put(o);
  for (const c of plan.colorants) {
    if (c.jar === undefined) continue;
    const range = c.jarOil === undefined ? undefined : RANGES[c.jarOil];
    known.set(
      `${range?.[0] ?? 'Oil'} in the jar "${c.jar}"`,
      need(range ? (range[1] + range[2]) / 2 : LEAST),
    );
  }
  return (name) => known.get(name) ?? 0;
}

type Held = Map<string, number>;

const total = (held: Held): number => [...held.values()].reduce((a, b) => a + b, 0);

/** A vessel that batter does not come back from: a mould or its mat, a layer, a bag, a cup, a spare tray. */
const OUT = /^(second:)?(mould|layer|spare|spare-mould|cup)(:|$)/;

/** Masses are printed to a tenth of a milligram: what is left in a jug by dust has no superfat to ask. */
const DUST_G = 0.02;

export interface Out {
  readonly act: string;
  readonly from: string;
  readonly to: string;
  readonly massG: number;
  readonly superfat: number | undefined;
  /** of what went, g in each gram of the recipe's oils, by name */
  readonly perOil: ReadonlyMap<string, number>;
}

export interface Followed {
  /**
   * superfat of all that the loaf's batch was mixed from, wherever it is at the end; undefined where there is
   * none
   */
  readonly ofAll: number | undefined;
  readonly faults: readonly string[];
  readonly out: readonly Out[];
  readonly lines: number;
  /** acts at which something is said to be lye-heavy for a time */
  readonly said: number;
}

/** Follow a printed sheet, asking of every vessel at every act and of everything that leaves one. */
export function followLines(acts: readonly SheetAct[], plan: Plan): Followed {
  const needOf = needs(plan);
  const lateOils = new Set(
    [plan.batter, ...(plan.second ? [plan.second.batter] : [])].flatMap((b) =>
      b.lateOils.map((o) => o.custom?.name ?? RANGES[o.oil]?.[0] ?? o.oil),
    ),
  );
  const vessels = new Map<string, Held>();
  const faults: string[] = [];
  const out: Out[] = [];
  /** vessels said to be lye-heavy, and what is drawn of them, with the acts that cure it */
  const saidOf = new Map<string, ReadonlySet<string>>();
  let supplied = 0;
  let lines = 0;
  let said = 0;
  const of = (name: string): Held => {
    const held = vessels.get(name) ?? new Map<string, number>();
    vessels.set(name, held);
    return held;
  };
  const superfat = (held: Held): number | undefined => {
    let uses = 0;
    let lye = 0;
    for (const [name, g] of held) {
      uses += needOf(name) * g;
      // as the jar of lye says: a second batch may have another
      const pure = /^Sodium hydroxide, ([\d.]+) % pure$/.exec(name)?.[1];
      if (pure !== undefined) lye += (g * Number(pure)) / 100;
    }
    return uses > 1e-9 && lye > 1e-9 ? (1 - lye / uses) * 100 : undefined;
  };
  const perOil = (held: Held): Map<string, number> => {
    const bare = (name: string): string => name.replace(/, [\d.]+ mg KOH\/g$/, '');
    let oils = 0;
    for (const [name, g] of held) if (needOf(name) > 0 && !lateOils.has(bare(name))) oils += g;
    return new Map([...held].map(([name, g]) => [name, oils > 0 ? g / oils : 0]));
  };
  for (const act of acts) {
    for (const h of act.lye_heavy ?? []) {
      saidOf.set(h.vessel, new Set(h.until));
      said += 1;
    }
    const touched = new Set<string>();
    for (const line of act.lines) {
      lines += 1;
      const grams = line.mass_g * (line.times ?? 1);
      const to = of(line.to);
      touched.add(line.to);
      if (line.from === 'supply') {
        const parts = line.parts ?? [{ name: line.name, mass_g: line.mass_g }];
        const sum = parts.reduce((s, p) => s + p.mass_g, 0);
        if (Math.abs(sum - line.mass_g) > 1e-6) faults.push(`${act.id}: ${line.name} is not its parts`);
        for (const p of parts) {
          const g = p.mass_g * (line.times ?? 1);
          to.set(p.name, (to.get(p.name) ?? 0) + g);
          supplied += g;
        }
        continue;
      }
      const from = of(line.from);
      touched.add(line.from);
      const there = total(from);
      if (there - grams < -0.01)
        faults.push(`${act.id}: ${grams} g drawn of ${line.from}, which holds ${there.toFixed(3)}`);
      // what is drawn of a vessel that was said to be lye-heavy is said with it
      const known = saidOf.get(line.from);
      if (known && !OUT.test(line.to) && !saidOf.has(line.to)) saidOf.set(line.to, known);
      if (OUT.test(line.to) && grams > 0) {
        const leaves = superfat(from);
        out.push({
          act: act.id,
          from: line.from,
          to: line.to,
          massG: grams,
          superfat: leaves,
          perOil: perOil(from),
        });
        if (leaves !== undefined && leaves < -0.005)
          faults.push(`${act.id}: ${grams} g out of ${line.from} at ${leaves.toFixed(2)} %`);
      }
      const part = there > 0 ? Math.min(1, grams / there) : 0;
      for (const [name, g] of [...from]) {
        from.set(name, g * (1 - part));
        to.set(name, (to.get(name) ?? 0) + g * part);
      }
    }
    for (const vessel of touched) {
      const held = of(vessel);
      const now = superfat(held);
      if (now === undefined || now >= -0.005 || OUT.test(vessel) || total(held) < DUST_G) {
        if (now !== undefined && now >= -0.005) saidOf.delete(vessel);
        continue;
      }
      if (!saidOf.has(vessel))
        faults.push(`${act.id}: ${vessel} is at ${now.toFixed(2)} %, and nothing says so`);
    }
  }
  const kept = [...vessels.values()].reduce((s, held) => s + total(held), 0);
  if (Math.abs(kept - supplied) > 1e-6 * supplied + 0.01)
    faults.push(`${supplied.toFixed(2)} g came in, ${kept.toFixed(2)} g are somewhere`);
  const all = new Map<string, number>();
  for (const [vessel, held] of vessels)
    if (!vessel.startsWith('second:')) for (const [name, g] of held) all.set(name, (all.get(name) ?? 0) + g);
  return { faults, out, lines, said, ofAll: superfat(all) };
}
