import { recipeOf } from '../../batter/recipe.ts';
import type { Pot } from '../../plan/planSchema.ts';
import { isPiped, pipedRows } from '../../plan/second.ts';
import type { Top } from '../../plan/stepSchema.ts';
import type { PipedRow } from '../../plan/topSchema.ts';
import { KEEPS_SHAPE, stageToCarry } from '../../setting/carries.ts';
import type { Stage } from '../../units/quantity.ts';
import type { PotId } from '../../validate/ids.ts';
import { ROW_MIN, STIRS } from '../habits.ts';
import { isFor, RATE_SD, scentsOf, type ScentDose } from '../scents.ts';
import { speedOf } from '../speed.ts';
import type { Draft } from './draft.ts';
import { WORKABLE } from './pour.ts';
import { preparing, scentAtOnce } from './stirredIn.ts';

/** What is piped is blended to about here before it is coloured. A judgement, no source. */
const START: Stage = 1.5;

/** A bag is pressed until nearly the end of its rows. */
const LAST_AT = 0.9;

/** The batch that is piped on top: made once the loaf is poured, or at a minute of its own; coloured; piped row by row. */
export function addPiping(draft: Draft): void {
  const { plan, habits } = draft;
  if (!plan.second || !isPiped(plan)) return;
  const { batter } = plan.second;
  const recipe = recipeOf(batter);
  const speed = recipe && speedOf(batter, recipe, {});
  if (!speed) return;
  const doubt = draft.doubts.length;
  const { doses, doubts } = scentsOf(batter.fragrances, doubt + 1);
  draft.doubts.push({ name: 'recipe for piping', sd: RATE_SD });
  draft.doubts.push(...doubts.map((d) => ({ ...d, name: `piping ${d.name}` })));
  const rows = pipedRows(plan);
  const used = plan.second.pots.filter((p) => rows.some(({ row }) => row.pot === p.id));
  for (const pot of used)
    draft.addPot({ pot, ofSecond: true }, { perMinute: speed.perMinute, doubt, there: false, start: START });
  draft.add(
    {
      key: 'make piping',
      does: 'make',
      minutes: habits.makeMin,
      pots: used.map((p) => draft.numberOf(p.id, true)),
      makes: true,
      ...(plan.clock.pipingAtMin === undefined ? {} : { at: plan.clock.pipingAtMin }),
    },
    { ofSecond: true },
    'jugs',
  );
  scentAtOnce(
    draft,
    used.map((p) => p.id),
    (id) => doses.filter((d) => d.when === 'batch' && isFor(d, id)).map((d) => d.quickens(id)),
    true,
  );
  for (const pot of used) addBag(draft, pot, doses);
  for (const step of plan.steps)
    if (step.kind === 'top' && step.way.top === 'piping') addRows(draft, step, step.way.rows);
}

function addBag(draft: Draft, pot: Pot, doses: readonly ScentDose[]): void {
  const quickens = doses.filter((d) => d.when !== 'batch' && isFor(d, pot.id)).map((d) => d.quickens(pot.id));
  draft.add(
    {
      key: `colour piping ${pot.id}`,
      does: 'colour',
      minutes: draft.habits.colourMin,
      pots: [draft.numberOf(pot.id, true)],
      adds: STIRS[draft.habits.stirrer],
      ...(quickens.length > 0 ? { quickens } : {}),
    },
    { pot, ofSecond: true },
    'jugs',
  );
}

function addRows(draft: Draft, step: Top, rows: readonly PipedRow[]): void {
  const heights = new Map<PotId, number>();
  for (const row of rows) heights.set(row.pot, Math.max(heights.get(row.pot) ?? 0, row.heightMm));
  for (const [id, heightMm] of heights) {
    const pot = draft.plan.second?.pots.find((p) => p.id === id);
    const place = draft.numberOf(id, true);
    const prepares = preparing(draft, place, pot, []);
    draft.add(
      {
        key: `pipe ${step.id} ${id}`,
        does: 'pipe',
        minutes: ROW_MIN * draft.countOf(step) * rows.filter((r) => r.pot === id).length,
        pots: [place],
        window: { least: KEEPS_SHAPE, most: WORKABLE },
        lastAt: LAST_AT,
        ...draft.on(step, stageToCarry(heightMm, 1)),
        ...(prepares.length > 0 ? { prepares } : {}),
      },
      { step, ofSecond: true, ...(pot ? { pot } : {}) },
    );
  }
}
