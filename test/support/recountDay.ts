import { isInPot } from '../../src/core/batter/moments.ts';
import type { Plan } from '../../src/core/plan/planSchema.ts';
import type { Dose } from '../../src/core/batter/schema.ts';
import { followLines, type Followed } from './lineByLine.ts';
import type { LivedDay } from './anyDay.ts';
import { printed, type Sheet } from './printed.ts';

interface Recounted extends Followed {
  /** codes of what is refused with its number; then there is no sheet to follow */
  readonly refused: readonly string[];
}

/** Doses that all of a pot's batter gets alike, each time something is poured of it. */
const everyTime = (doses: readonly Dose[], pot: string): readonly Dose[] =>
  doses.filter((d) => isInPot(d.moment) && d.fromPour === undefined && (d.pots?.includes(pot) ?? true));

/**
 * What goes into the pots by themselves is in what leaves them as it was dosed, g in each gram of the
 * recipe's oils: to a step of the fine scale, and to what rounding a cup or a jug to the bench scale's step
 * makes of it. Not asked where batter of several pots, or plain batter, comes together in a jug.
 */
function doseFaults(plan: Plan, { out }: Followed): readonly string[] {
  const mixes = plan.ombres.length > 0 || plan.steps.some((s) => s.kind === 'scrape');
  // an oil of the recipe's name that is stirred in late cannot be told from it in a jug
  const early = new Set(
    [plan.batter.oils, ...plan.pots.map((p) => p.own?.oils ?? [])].flat().map((o) => o.oil),
  );
  if (mixes || plan.batter.lateOils.some((o) => early.has(o.oil))) return [];
  const { scaleStepG, fineStepG } = plan.units;
  return [...plan.batter.fragrances, ...plan.batter.additives].flatMap(({ name, doses }) =>
    out.flatMap(({ act, from, to, massG, perOil }) => {
      const pot = /^(?:pot|cup):([^:]*)/.exec(from)?.[1];
      const own = pot === undefined ? [] : everyTime(doses, pot);
      if (pot === undefined || to.startsWith('cup') || own.length === 0 || own.length < doses.length)
        return [];
      const wanted = own.reduce((s, d) => s + d.gPerKgOils, 0) / 1000;
      const is = perOil.get(name) ?? 0;
      const oilG = massG * 0.5;
      const off = (own.length * fineStepG) / oilG + wanted * ((3 * scaleStepG) / oilG + 0.02);
      return Math.abs(is - wanted) <= off
        ? []
        : [
            `${act}: ${name} is ${is.toFixed(4)} of the oils out of ${from}, where ${wanted.toFixed(4)} is dosed`,
          ];
    }),
  );
}

interface PrintedPour {
  readonly id: string;
  readonly kind: string;
  readonly pot: string;
  readonly superfat_percent?: number | null;
  /** of a pour in rounds, each pot by itself */
  readonly from?: readonly { readonly pot: string; readonly superfat_percent: number | null }[];
}

/**
 * What the sheet says of its jugs, pours and doses beside its lines, held against what the lines make of
 * them.
 */
function saidFaults({ plan, happened }: LivedDay, sheet: Sheet, { out, ofAll }: Followed): readonly string[] {
  const faults: string[] = [];
  const near = (what: string, is: number, said: number, off: number): void => {
    if (!(Math.abs(is - said) <= off)) faults.push(`${what}: ${said} is said, ${is.toFixed(3)} it is`);
  };
  const { scaleStepG, fineStepG } = plan.units;
  const pours = (sheet.steps as unknown as readonly PrintedPour[]).filter((s) => s.kind === 'pour');
  const blended = plan.ombres.some((o) => o.school === 'master-blends');
  const entered = happened.size > 0;
  for (const pot of sheet.pots) {
    if (pot.mass_g === 0) continue;
    const { total_g: total = 0, ...parts } = pot.jug;
    near(
      `jug ${pot.id}`,
      Object.values(parts).reduce((s, g) => s + g, 0),
      total,
      1e-6,
    );
    // blends draw two stocks to the step, and their lye follows the oils that come with them: where those are
    // little alike in what they need, the whole moves by a hundredth or so (the ledger's own test holds the
    // usual recipe closer)
    const off = blended ? 1.5 * scaleStepG + 0.02 * pot.mass_g : 0;
    // every dose is rounded by itself, to the fine scale's step
    const short = 0.2 + 5 * fineStepG;
    const [least, most] = [pot.mass_g - off - short, pot.mass_g + off + 3 * scaleStepG + 0.1 * pours.length];
    if (!entered && (total < least || total > most))
      faults.push(`jug ${pot.id} holds ${total} g, where ${pot.mass_g} g are wanted`);
  }
  for (const pour of pours)
    for (const { pot, superfat_percent: said } of pour.from ?? [pour]) {
      const own = out.filter((o) => o.act === `pour:${pour.id}` && o.from.split(':')[1] === pot);
      for (const { superfat: is } of own)
        if (is !== undefined) near(`pour ${pour.id}`, is, said ?? NaN, 0.02);
    }
  for (const { id, name } of plan.batter.fragrances) {
    const onSheet = sheet.procedure
      .filter((t) => !t.id.startsWith('second:'))
      .flatMap((t) => t.lines)
      .reduce((s, l) => s + (l.name === name ? l.mass_g * (l.times ?? 1) : 0), 0);
    near(name, onSheet, sheet.batter.fragrances.find((x) => x.id === id)?.mass_g ?? 0, 1e-6);
  }
  if (!entered && ofAll !== undefined && ofAll < plan.batter.superfatPercent - 0.005)
    faults.push(`all of it is at superfat ${ofAll}, where ${plan.batter.superfatPercent} is planned`);
  return faults;
}

/** One plan's day done line by line, as its sheet says. */
export function recountDay(day: LivedDay): Recounted {
  const { plan, happened } = day;
  const sheet = printed(plan, happened);
  const { procedure, warnings } = sheet;
  const refused = warnings.filter((w) => w.level === 'refuse').map((w) => w.code);
  const found = followLines(procedure, plan);
  const silent = procedure.length === 0 && refused.length === 0 ? ['no sheet, and nothing is refused'] : [];
  return {
    ...found,
    refused,
    faults: [
      ...found.faults,
      ...(procedure.length > 0 ? saidFaults(day, sheet, found) : []),
      ...doseFaults(plan, found),
      ...silent,
    ],
  };
}
