import { barGrid, type Footprint } from '../fill/barGrid.ts';
import { openingOf } from '../fill/topShares.ts';
import { mouldGeometry } from '../mould/geometry.ts';
import type { Plan } from '../plan/planSchema.ts';
import { leadPot } from '../plan/sources.ts';
import type { Step, Top } from '../plan/stepSchema.ts';
import { MOST_ROWS, type PipedRow, type TopWay } from '../plan/topSchema.ts';
import type { Grams, Millimetres } from '../units/quantity.ts';
import type { StepId } from '../validate/ids.ts';
import { freshId } from './freshId.ts';
import { withSecondBatch } from './second.ts';
import { mapStep, updateStep } from './step.ts';

/** Strewn over 100 cm2, g: seen, and not a crust. Common practice, no source. */
export const USUAL_SALT_G_PER_DM2 = 8;

const SQUARE_MM_PER_DM2 = 10_000;

export const half = (mm: Millimetres): Millimetres => Math.max(0.5, Math.floor(mm * 2) / 2);

/** One of the bars that a plan's first mould is cut into; all of its plan where it gives none. */
export function someBar(plan: Plan): Pick<Footprint, 'x0' | 'x1' | 'y0' | 'y1'> {
  const geometry = mouldGeometry(plan.mould);
  const { width, length } = geometry.floor;
  return (
    barGrid(plan.mould, geometry, plan.cut, geometry.heightMm)[0] ?? {
      x0: width / -2,
      x1: width / 2,
      y0: length / -2,
      y1: length / 2,
    }
  );
}

export const usualSaltG = (plan: Plan): Grams =>
  Math.max(1, Math.round((openingOf(mouldGeometry(plan.mould)) / SQUARE_MM_PER_DM2) * USUAL_SALT_G_PER_DM2));

/** A row of what fits on a bar, one on each. */
export function newRow(plan: Plan, offMm: Millimetres): PipedRow {
  const { x0, x1, y0, y1 } = someBar(plan);
  const acrossMm = Math.max(3, Math.min(22, half((y1 - y0) * 0.8), half((x1 - x0) * 0.8)));
  const pot = plan.second?.pots[0]?.id ?? '';
  return { pot, offMm, acrossMm, heightMm: half(Math.max(2, acrossMm * 0.8)), perBar: 1 };
}

/**
 * What each kind of top begins as, before it is told otherwise. `plan` has a second batch where that is
 * piped.
 */
export function firstTop(plan: Plan, top: TopWay['top']): TopWay {
  const { x0, x1, y0, y1 } = someBar(plan);
  const [wide, deep] = [x1 - x0, y1 - y0];
  const { width } = mouldGeometry(plan.mould).floor;
  const last = plan.steps.findLast((s) => s.kind === 'pour');
  switch (top) {
    case 'mound':
      return {
        top,
        pot: last ? leadPot(last) : (plan.pots[0]?.id ?? ''),
        runs: 'lengthwise',
        offMm: 0,
        wideMm: Math.max(5, Math.round(width * 0.8)),
        heightMm: 12,
      };
    case 'dents': {
      const rows = Math.max(1, Math.min(24, Math.floor(wide / 25)));
      return {
        top,
        rows,
        perBar: 1,
        acrossMm: Math.max(4, half(Math.min(wide / rows, deep) * 0.8)),
        depthMm: 4,
      };
    }
    case 'piping':
      return { top, rows: [newRow(plan, 0)] };
    case 'pieces': {
      const acrossMm = Math.max(2, Math.min(14, half(deep * 0.6)));
      return {
        top,
        name: 'Button',
        colour: '#b5663a',
        rows: 1,
        perBar: 1,
        acrossMm,
        heightMm: Math.max(1, half(acrossMm * 0.6)),
        massG: 1.5,
      };
    }
    case 'straws':
      return { top, colour: '#94719c', rows: 1, perBar: 1, acrossMm: 6, standsMm: 40, deepMm: 15 };
    case 'salt':
      return { top, massG: usualSaltG(plan) };
  }
}

/** The end of what is done to a mould: before the finish that follows its last pour. */
function endOf(steps: readonly Step[]): number {
  const poured = steps.findLastIndex((s) => s.kind !== 'finish') + 1;
  return poured;
}

/** Something on top, once all else is done. A batch to be piped is made where there is none yet. */
export function addTop(plan: Plan, top: TopWay['top']): { readonly plan: Plan; readonly stepId: StepId } {
  const ready = top === 'piping' ? withSecondBatch(plan) : plan;
  const stepId = freshId('t', ready.steps);
  const step: Top = { id: stepId, kind: 'top', way: firstTop(ready, top) };
  return { plan: { ...ready, steps: ready.steps.toSpliced(endOf(ready.steps), 0, step) }, stepId };
}

export const setTop = (plan: Plan, stepId: StepId, way: TopWay): Plan =>
  updateStep(plan, 'top', stepId, { way });

/** Nothing of its mould is poured after it any more. */
export function topLast(plan: Plan, stepId: StepId): Plan {
  const step = plan.steps.find((s) => s.id === stepId);
  if (!step) return plan;
  const others = plan.steps.filter((s) => s !== step);
  return { ...plan, steps: others.toSpliced(endOf(others), 0, step) };
}

const mapRows = (
  plan: Plan,
  stepId: StepId,
  change: (rows: readonly PipedRow[]) => readonly PipedRow[],
): Plan =>
  mapStep(plan, 'top', stepId, (s) =>
    s.way.top === 'piping' ? { ...s, way: { ...s.way, rows: [...change(s.way.rows)] } } : s,
  );

export const setRow = (plan: Plan, stepId: StepId, at: number, change: Partial<PipedRow>): Plan =>
  mapRows(plan, stepId, (rows) => rows.map((r, i) => (i === at ? { ...r, ...change } : r)));

/** A continuous row in place of dollops. */
export const makeRope = (plan: Plan, stepId: StepId, at: number): Plan =>
  mapRows(plan, stepId, (rows) =>
    rows.map((r, i) => {
      if (i !== at) return r;
      const { perBar: _dollops, ...rope } = r;
      return rope;
    }),
  );

/**
 * Where a row as wide as another has room on a bar, from the left; in the middle, over what is there, where
 * it has none.
 */
function freePlace(rows: readonly PipedRow[], acrossMm: Millimetres, wideMm: Millimetres): Millimetres {
  const places = Math.max(1, Math.floor(wideMm / acrossMm));
  const free = Array.from({ length: places }, (_, i) => half0((i + 0.5 - places / 2) * acrossMm)).find((at) =>
    rows.every((r) => Math.abs(r.offMm - at) >= (r.acrossMm + acrossMm) / 2 - 0.5),
  );
  return free ?? 0;
}

const half0 = (mm: Millimetres): Millimetres => Math.round(mm * 2) / 2;

/** One more row like the last, where there is room for it. */
export const addRow = (plan: Plan, stepId: StepId): Plan =>
  mapRows(plan, stepId, (rows) => {
    const last = rows.at(-1);
    if (!last || rows.length >= MOST_ROWS) return rows;
    const { x0, x1 } = someBar(plan);
    return [...rows, { ...last, offMm: freePlace(rows, last.acrossMm, x1 - x0) }];
  });

export const removeRow = (plan: Plan, stepId: StepId, at: number): Plan =>
  mapRows(plan, stepId, (rows) => (rows.length > 1 ? rows.filter((_, i) => i !== at) : rows));

/** Rows as they are, side by side about the middle of each bar, none over another. */
export const sideBySide = (plan: Plan, stepId: StepId): Plan =>
  mapRows(plan, stepId, (rows) => {
    const whole = rows.reduce((s, r) => s + r.acrossMm, 0);
    let from = whole / -2;
    return rows.map((r) => {
      const offMm = Math.round((from + r.acrossMm / 2) * 10) / 10;
      from += r.acrossMm;
      return { ...r, offMm };
    });
  });
