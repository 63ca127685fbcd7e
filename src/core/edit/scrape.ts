import { partAt } from '../flow/edge.ts';
import { layPlan } from '../fill/layPlan.ts';
import type { PouredLayer } from '../fill/layers.ts';
import { mouldGeometry } from '../mould/geometry.ts';
import type { Plan } from '../plan/planSchema.ts';
import { MOST_EDGE_POINTS, type RepeatedEdge, type ScraperEdge } from '../plan/scrapeSchema.ts';
import { isFrom, leadPot, potsOf } from '../plan/sources.ts';
import type { Pour, Scrape } from '../plan/stepSchema.ts';
import { stageToKeepRidges } from '../setting/ridge.ts';
import type { Millimetres, Stage } from '../units/quantity.ts';
import type { StepId } from '../validate/ids.ts';
import { freshId } from './freshId.ts';
import { insertAfter, LANDING_FALL_MM } from './pours.ts';
import { newWait, waitBefore } from './waits.ts';
import { mapStep } from './step.ts';

/** A scraped layer is let stand so long before the next colour, minutes. Common practice, no source. */
const LET_STAND = 5;

const halfMm = (mm: Millimetres): Millimetres => Math.round(mm * 2) / 2;

const within = (value: number, low: number, high: number): number => Math.min(high, Math.max(low, value));

/** How wide what a scraper is pulled over is. */
const widthFor = ({ mould }: Plan, pulled: Scrape['pulled']): Millimetres => {
  const { floor } = mouldGeometry(mould);
  return pulled === 'lengthwise' ? floor.width : floor.length;
};

/** The stage that is waited for, to a tenth, never short of what is needed. */
export const waitedToKeep = (reliefMm: Millimetres, densityGMl: number): Stage =>
  Math.min(5, Math.ceil(stageToKeepRidges(reliefMm, densityGMl) * 10 - 1e-9) / 10);

/** Its scrapings have a jug to go back into, and are poured out of it again. */
const pouredAgain = (plan: Plan, pour: Pour): boolean =>
  pour.ombre === undefined &&
  potsOf(pour).length === 1 &&
  plan.steps.slice(plan.steps.findIndex((s) => s.id === pour.id) + 1).some((s) => isFrom(s, leadPot(pour)));

/** A layer scraped to waves once it is thick enough, and let stand. */
export function addScrape(
  plan: Plan,
  { pour, riseMm, densityGMl }: Pick<PouredLayer, 'pour' | 'riseMm' | 'densityGMl'>,
): { readonly plan: Plan; readonly stepId: StepId } {
  const stepId = freshId('r', plan.steps);
  const reliefMm = halfMm(within(riseMm * 0.6, 1, 12));
  const scrape: Scrape = {
    id: stepId,
    kind: 'scrape',
    ...(pour.mould === undefined ? {} : { mould: pour.mould }),
    pulled: 'lengthwise',
    edge: {
      kind: 'repeated',
      shape: 'waves',
      pitchMm: halfMm(within(widthFor(plan, 'lengthwise') / 3, 8, 60)),
      shiftMm: 0,
    },
    reliefMm,
    depthMm: reliefMm,
    to: pouredAgain(plan, pour) ? 'pot' : 'spare',
  };
  const at = plan.steps.findIndex((s) => s.id === pour.id);
  const waited = plan.steps[at + 1];
  const has = waited?.kind === 'wait';
  const first = has
    ? plan
    : insertAfter(
        plan,
        pour.id,
        newWait(plan, pour, { kind: 'stage', stage: waitedToKeep(reliefMm, densityGMl) }),
      );
  const waitId = first.steps[at + 1]?.id ?? pour.id;
  const scraped = insertAfter(first, waitId, scrape);
  const follows = scraped.steps.slice(at + 3).some((s) => s.kind === 'pour');
  const stood = follows
    ? insertAfter(scraped, stepId, newWait(scraped, pour, { kind: 'minutes', minutes: LET_STAND }))
    : scraped;
  return { plan: stood, stepId };
}

/** Thick enough to be scraped soon after it is poured; what follows is spooned over. */
const POURED_AT: Stage = 2;

/** Level layers, every one but the last scraped to the same waves. */
export function sculptedLayers(layers: Plan): Plan {
  const first = layers.steps.find((s) => s.kind === 'pour')?.id;
  const thick: Plan = {
    ...layers,
    pots: layers.pots.map((p) => ({ ...p, stage: POURED_AT })),
    steps: layers.steps.map((s) =>
      s.kind === 'pour' && s.id !== first
        ? { ...s, landing: { how: 'spoon', fallMm: LANDING_FALL_MM.spoon } }
        : s,
    ),
  };
  const laid = layPlan(thick).stack.layers;
  return laid.slice(0, -1).reduce((plan, layer) => addScrape(plan, layer).plan, thick);
}

const ofScrape = (plan: Plan, stepId: StepId, change: (scrape: Scrape) => Scrape): Plan =>
  mapStep(plan, 'scrape', stepId, change);

export const updateScrape = (
  plan: Plan,
  stepId: StepId,
  change: Partial<Omit<Scrape, 'id' | 'kind'>>,
): Plan => ofScrape(plan, stepId, (scrape) => ({ ...scrape, ...change }));

/** How deep its profile is. One whose highest places just touch the surface goes on doing so. */
export const setRelief = (plan: Plan, stepId: StepId, reliefMm: Millimetres): Plan =>
  ofScrape(plan, stepId, (scrape) => ({
    ...scrape,
    reliefMm,
    depthMm: scrape.depthMm === scrape.reliefMm ? reliefMm : scrape.depthMm,
  }));

/** Two points this near would be one, mm. */
const APART = 0.1;

/** An edge as points that can be drawn on: of one that repeats so many a pitch. */
const A_PITCH = 8;

function pointsOf(edge: ScraperEdge, width: Millimetres): Extract<ScraperEdge, { kind: 'drawn' }>['points'] {
  if (edge.kind === 'drawn') return edge.points;
  const count = within(Math.round((width / edge.pitchMm) * A_PITCH), 6, 48);
  return Array.from({ length: count + 1 }, (_, i) => {
    const acrossMm = Math.round((i / count - 0.5) * width * 10) / 10;
    return { acrossMm, part: Math.round(partAt(edge, acrossMm) * 100) / 100 };
  });
}

/** An edge that repeats, or one drawn by hand that begins as the present one is. */
export function setEdgeShape(plan: Plan, stepId: StepId, shape: RepeatedEdge | 'drawn'): Plan {
  return ofScrape(plan, stepId, (scrape) => {
    const { edge, pulled } = scrape;
    const width = widthFor(plan, pulled);
    if (shape === 'drawn') return { ...scrape, edge: { kind: 'drawn', points: pointsOf(edge, width) } };
    const before =
      edge.kind === 'repeated' ? edge : { pitchMm: halfMm(within(width / 3, 8, 60)), shiftMm: 0 };
    return { ...scrape, edge: { kind: 'repeated', shape, pitchMm: before.pitchMm, shiftMm: before.shiftMm } };
  });
}

const ofPoints = (
  plan: Plan,
  stepId: StepId,
  change: (
    points: Extract<ScraperEdge, { kind: 'drawn' }>['points'],
  ) => Extract<ScraperEdge, { kind: 'drawn' }>['points'],
): Plan =>
  ofScrape(plan, stepId, (scrape) =>
    scrape.edge.kind === 'drawn'
      ? { ...scrape, edge: { ...scrape.edge, points: change(scrape.edge.points) } }
      : scrape,
  );

/** A point stays between its neighbours: an edge has one height at each place. */
export const moveEdgePoint = (
  plan: Plan,
  stepId: StepId,
  at: number,
  to: { readonly acrossMm: Millimetres; readonly part: number },
): Plan =>
  ofPoints(plan, stepId, (points) =>
    points.with(at, {
      acrossMm: within(
        to.acrossMm,
        (points[at - 1]?.acrossMm ?? -1000 - APART) + APART,
        (points[at + 1]?.acrossMm ?? 1000 + APART) - APART,
      ),
      part: within(to.part, 0, 1),
    }),
  );

/** Another point half way to the next one, or, for the last, from the one before. */
export const addEdgePoint = (plan: Plan, stepId: StepId, after: number): Plan =>
  ofPoints(plan, stepId, (points) => {
    const from = Math.min(after, points.length - 2);
    const [a, b] = [points[from], points[from + 1]];
    if (!a || !b || points.length >= MOST_EDGE_POINTS || b.acrossMm - a.acrossMm < 2 * APART) return points;
    const point = { acrossMm: (a.acrossMm + b.acrossMm) / 2, part: (a.part + b.part) / 2 };
    return points.toSpliced(from + 1, 0, point);
  });

/** Two points stay. */
export const removeEdgePoint = (plan: Plan, stepId: StepId, at: number): Plan =>
  ofPoints(plan, stepId, (points) => (points.length > 2 ? points.toSpliced(at, 1) : points));

/** The layer is waited for, right before it is scraped, until it keeps its ridges. */
export function waitBeforeScrape(plan: Plan, stepId: StepId, stage: Stage): Plan {
  const at = plan.steps.findIndex((s) => s.id === stepId);
  const before = plan.steps[at - 1];
  const until = { kind: 'stage', stage } as const;
  if (before?.kind === 'wait') return { ...plan, steps: plan.steps.with(at - 1, { ...before, until }) };
  return waitBefore(plan, stepId, stage);
}
