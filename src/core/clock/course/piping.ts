import { recipeOf } from '../../batter/recipe.ts';
import type { ActId } from '../../day/act.ts';
import type { Pot } from '../../plan/planSchema.ts';
import { pipedRows } from '../../plan/second.ts';
import type { Top } from '../../plan/stepSchema.ts';
import type { PipedRow } from '../../plan/topSchema.ts';
import { PIPES } from '../../pattern/windows.ts';
import { stageToCarry } from '../../setting/carries.ts';
import type { PotId } from '../../validate/ids.ts';
import { ROW_MIN, STIRS } from '../../plan/habits.ts';
import { isFor, scentsOf, type ScentDose } from '../scents.ts';
import { speedOf } from '../speed.ts';
import { PIPED } from '../start.ts';
import type { CourseDraft } from './draft.ts';
import { preparing, scentAtOnce } from './stirredIn.ts';

/** A bag is pressed until nearly the end of its rows. */
const LAST_AT = 0.9;

/** Batter for piping that is made: what is stirred into it, and when. */
export class Piping {
  private readonly draft: CourseDraft;
  private doses: readonly ScentDose[] = [];
  private readonly made = new Set<PotId>();
  /** where its making stands, until anything is done to its jugs */
  private making: number | undefined;

  constructor(draft: CourseDraft) {
    this.draft = draft;
  }

  /** It is made once the loaf is poured, or at a minute of its own. */
  begin(of: ActId): void {
    const { draft } = this;
    const { plan, habits } = draft;
    if (!plan.second) return;
    const { batter } = plan.second;
    const recipe = recipeOf(batter);
    const speed = recipe && speedOf(batter, recipe, {});
    if (!speed) return;
    const doubt = draft.doubts.length;
    const { doses, doubts } = scentsOf(batter.fragrances, doubt + 1);
    this.doses = doses;
    draft.doubts.push({ name: 'recipe for piping', sd: speed.sd });
    draft.doubts.push(...doubts.map((d) => ({ ...d, name: `piping ${d.name}` })));
    const rows = pipedRows(plan);
    const used = plan.second.pots.filter((p) => rows.some(({ row }) => row.pot === p.id));
    for (const pot of used) {
      this.made.add(pot.id);
      draft.addPot(
        { pot, ofSecond: true },
        { perMinute: speed.perMinute, doubt, there: false, start: PIPED },
      );
    }
    draft.add(
      {
        does: 'make',
        minutes: habits.makeMin,
        pots: used.map((p) => draft.numberOf(p.id, true)),
        makes: true,
        ...(plan.clock.pipingAtMin === undefined ? {} : { at: plan.clock.pipingAtMin }),
      },
      { of: [of], ofSecond: true },
      'jugs',
    );
    this.making = draft.acts.length - 1;
    scentAtOnce(
      draft,
      used.map((p) => p.id),
      (id) => doses.filter((d) => d.when === 'batch' && isFor(d, id)).map((d) => d.quickens(id)),
      true,
    );
  }

  /** A part of its making, from its water to what is shared out. */
  makes(id: ActId): void {
    if (this.making !== undefined) this.draft.also(id, this.making);
  }

  /** One bag's batter gets its colour. */
  colour(of: ActId, pot: Pot): void {
    this.making = undefined;
    if (!this.made.has(pot.id)) return;
    const { draft } = this;
    const quickens = this.doses
      .filter((d) => d.when !== 'batch' && isFor(d, pot.id))
      .map((d) => d.quickens(pot.id));
    draft.add(
      {
        does: 'colour',
        minutes: draft.habits.colourMin,
        pots: [draft.numberOf(pot.id, true)],
        adds: STIRS[draft.habits.stirrer],
        ...(quickens.length > 0 ? { quickens } : {}),
      },
      { of: [of], pot, ofSecond: true },
      'jugs',
    );
  }

  /** Rows, bag by bag. */
  pipe(of: ActId, step: Top, rows: readonly PipedRow[]): void {
    this.making = undefined;
    const { draft } = this;
    const heights = new Map<PotId, number>();
    for (const row of rows) heights.set(row.pot, Math.max(heights.get(row.pot) ?? 0, row.heightMm));
    for (const [id, heightMm] of heights) {
      if (!this.made.has(id)) continue;
      const pot = draft.plan.second?.pots.find((p) => p.id === id);
      const place = draft.numberOf(id, true);
      const prepares = preparing(draft, place, pot, []);
      draft.add(
        {
          does: 'pipe',
          minutes: ROW_MIN * draft.countOf(step) * rows.filter((r) => r.pot === id).length,
          pots: [place],
          window: PIPES,
          lastAt: LAST_AT,
          ...draft.on(step, stageToCarry(heightMm, 1)),
          ...(prepares.length > 0 ? { prepares } : {}),
        },
        { of: [of], step, ofSecond: true, ...(pot ? { pot } : {}) },
      );
    }
  }
}
