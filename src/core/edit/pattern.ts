import { columnsIn } from '../mould/column.ts';
import { mouldGeometry } from '../mould/geometry.ts';
import { cornerSpot } from '../ways/corner.ts';
import { MOST_ROUNDS, type PatternPour, type StickPath } from '../plan/patternSchema.ts';
import type { Plan } from '../plan/planSchema.ts';
import { potsOf, roundOf } from '../plan/sources.ts';
import { isOneJug, wayOf, type Place } from '../ways/ways.ts';
import type { Pour, Step, Stroke } from '../plan/stepSchema.ts';
import type { Grams, Millimetres, Stage } from '../units/quantity.ts';
import type { PotId, StepId } from '../validate/ids.ts';
import { withAColumn } from './columns.ts';
import { freshId } from './freshId.ts';
import { insertAfter, mapPour, meanParts } from './pours.ts';
import { updateStep } from './step.ts';

/** A pour in rounds of these pots, in this order. */
const withRound = (pour: Pour, pattern: PatternPour, [first, ...then]: readonly PotId[]): Pour =>
  first === undefined ? pour : { ...pour, pot: first, pattern: { ...pattern, then } };

const ofPattern = (plan: Plan, stepId: StepId, change: (pour: Pour, pattern: PatternPour) => Pour): Plan =>
  mapPour(plan, stepId, (pour) => (pour.pattern ? change(pour, pour.pattern) : pour));

/** Out of one jug it goes in at once. */
export const setPlace = (plan: Plan, stepId: StepId, place: Place): Plan =>
  ofPattern(plan, stepId, (pour, pattern) => ({
    ...pour,
    pattern: { ...pattern, place, rounds: isOneJug(place) ? [1] : pattern.rounds },
  }));

/** Another turn at the end of each round. */
export const addTurn = (plan: Plan, stepId: StepId, pot: PotId): Plan =>
  ofPattern(plan, stepId, (pour, pattern) =>
    pattern.then.length < 23 ? withRound(pour, pattern, [...roundOf(pour), pot]) : pour,
  );

/** Take a turn out of each round; the last one stays. */
export const removeTurn = (plan: Plan, stepId: StepId, at: number): Plan =>
  ofPattern(plan, stepId, (pour, pattern) =>
    pattern.then.length > 0 ? withRound(pour, pattern, roundOf(pour).toSpliced(at, 1)) : pour,
  );

/** A turn earlier (-1) or later (+1) in each round. */
export const moveTurn = (plan: Plan, stepId: StepId, at: number, by: 1 | -1): Plan =>
  ofPattern(plan, stepId, (pour, pattern) => {
    const round = roundOf(pour);
    const pot = round[at];
    const to = at + by;
    return pot === undefined || to < 0 || to >= round.length
      ? pour
      : withRound(pour, pattern, round.toSpliced(at, 1).toSpliced(to, 0, pot));
  });

export const setRoundOrder = (plan: Plan, stepId: StepId, order: readonly PotId[]): Plan =>
  ofPattern(plan, stepId, (pour, pattern) => withRound(pour, pattern, order));

const setRounds = (
  plan: Plan,
  stepId: StepId,
  change: (rounds: readonly number[]) => readonly number[],
): Plan =>
  ofPattern(plan, stepId, (pour, pattern) => ({
    ...pour,
    pattern: { ...pattern, rounds: [...change(pattern.rounds)] },
  }));

/** Each round takes half of what the ones before it left, the last one all of that. */
const halves = (count: number): readonly number[] =>
  Array.from({ length: count }, (_, i) => 0.5 ** Math.min(i, Math.max(0, count - 2)));

/** Rounds that are halves of what is left stay so when there are more or fewer. */
const isHalving = (rounds: readonly number[]): boolean =>
  rounds.length > 2 &&
  halves(rounds.length).every((p, i) => Math.abs((rounds[i] ?? 0) / (rounds[0] ?? 1) - p) < 1e-6);

export const countRounds = (plan: Plan, stepId: StepId, count: number): Plan =>
  setRounds(plan, stepId, (rounds) => {
    const wanted = Math.min(MOST_ROUNDS, Math.max(1, Math.round(count)));
    if (isHalving(rounds)) return halves(wanted);
    return Array.from({ length: wanted }, (_, i) => rounds[i] ?? rounds.at(-1) ?? 1);
  });

export const evenRounds = (plan: Plan, stepId: StepId): Plan =>
  setRounds(plan, stepId, (r) => r.map(() => 1));

export const halvingRounds = (plan: Plan, stepId: StepId): Plan =>
  setRounds(plan, stepId, (r) => halves(r.length));

/**
 * Of each pot of a pour so many grams are held back, for all moulds together; what is held back of others
 * stays.
 */
export function holdBackOfEach(plan: Plan, pour: Pour, massG: Grams): Plan {
  const pots = potsOf(pour);
  const others = plan.fill.top.filter((t) => !pots.includes(t.pot));
  const top = [...others, ...pots.map((pot) => ({ pot, massG: Math.round(massG * 10) / 10 }))];
  return { ...plan, fill: { ...plan.fill, top: massG > 0 ? top : others } };
}

/** What one round takes, as a part of the largest; the others stay. */
export const setRoundPart = (plan: Plan, stepId: StepId, at: number, part: number): Plan =>
  setRounds(plan, stepId, (rounds) => {
    const most = Math.max(...rounds.filter((_, i) => i !== at), 1e-6);
    return rounds.map((p, i) => (i === at ? Math.max(0.02, part) * most : p));
  });

/** All pots of a pour at one thickness. */
export function setPourStage(plan: Plan, pour: Pour, stage: Stage): Plan {
  const pots = new Set(potsOf(pour));
  return { ...plan, pots: plan.pots.map((p) => (pots.has(p.id) ? { ...p, stage } : p)) };
}

/** A new pour of all the pots there are, after the chosen step or at the end of the pours. */
export function addPattern(
  plan: Plan,
  place: Place,
  afterId?: StepId,
): { readonly plan: Plan; readonly stepId: StepId } {
  const stepId = freshId('s', plan.steps);
  const [first, ...others] = plan.pots;
  const way = wayOf(place);
  const pour: Pour = {
    id: stepId,
    kind: 'pour',
    pot: first?.id ?? '',
    compartment: 0,
    amount: { kind: 'rest', parts: meanParts(plan) },
    locked: false,
    landing: way.landing,
    pattern: {
      place,
      then: way.onePot ? [] : others.slice(0, 23).map((p) => p.id),
      rounds: Array.from({ length: way.rounds }, () => 1),
    },
  };
  const last = plan.steps.findLast((s) => s.kind !== 'finish')?.id;
  const stood = way.column ? withAColumn(plan) : plan;
  return { plan: insertAfter(stood, afterId ?? last, pour), stepId };
}

/** Where the middle of the first column is; the mould's where none stands. */
function aboutOf({ mould }: Plan): { xMm: Millimetres; yMm: Millimetres } {
  const [column] = columnsIn(mould);
  return column ? { xMm: column.xMm, yMm: column.yMm } : { xMm: 0, yMm: 0 };
}

/** A corner pour's strokes fan out from its corner. */
function fanAbout(plan: Plan): { xMm: Millimetres; yMm: Millimetres } {
  const pour = plan.steps.findLast((s) => s.kind === 'pour' && s.pattern?.place.at === 'corner');
  const place = pour?.kind === 'pour' ? pour.pattern?.place : undefined;
  if (place?.at !== 'corner') return aboutOf(plan);
  const { most } = mouldGeometry(plan.mould);
  const [x, y] = [most.width / 2, most.length / 2];
  const [xMm, yMm] = cornerSpot(place.corner, { x0: 0 - x, x1: x, y0: 0 - y, y1: y });
  return { xMm, yMm };
}

export function newPath(plan: Plan, kind: StickPath['kind']): StickPath {
  const { most } = mouldGeometry(plan.mould);
  const about = fanAbout(plan);
  const atEdge = Math.abs(about.xMm) >= most.width / 2 - 1;
  switch (kind) {
    case 'fan':
      return { kind, about, strokes: atEdge ? 40 : 16, way: 'out', doubled: false };
    case 'spiral':
      return { kind, about: aboutOf(plan), pitchMm: 30, way: 'out' };
    case 'rings':
      return { kind, about: aboutOf(plan), spacingMm: 30 };
    case 'lines':
      return {
        kind,
        runs: most.length > most.width ? 'crosswise' : 'lengthwise',
        spacingMm: 25,
        turns: true,
      };
    case 'free': {
      const [x, y] = [most.width / 4, most.length / 4];
      return {
        kind,
        points: [
          { xMm: 0 - x, yMm: 0 - y },
          { xMm: x, yMm: 0 - y / 3 },
          { xMm: 0 - x, yMm: y / 3 },
          { xMm: x, yMm: y },
        ],
      };
    }
  }
}

/**
 * Strokes, a wire and a pulled column come after everything that is poured, before the finish; or right after
 * a step.
 */
export function insertLate(plan: Plan, step: Step, afterId: StepId | undefined): Plan {
  const last = plan.steps.findLast((s) => s.kind !== 'finish')?.id;
  return insertAfter(plan, afterId ?? last, step);
}

export function addStroke(
  plan: Plan,
  kind: StickPath['kind'],
  depthMm: Millimetres,
  more: Pick<Stroke, 'forTop'> = {},
): { readonly plan: Plan; readonly stepId: StepId } {
  const stepId = freshId('k', plan.steps);
  const path = newPath(plan, kind);
  const stroke: Stroke = {
    id: stepId,
    kind: 'stroke',
    path,
    end: more.forTop ? 'thin' : 'thick',
    depthMm,
    ...more,
  };
  return { plan: insertLate(plan, stroke, undefined), stepId };
}

/** All columns are pulled once what is poured over them is in, before any strokes. */
export function addPull(plan: Plan): Plan {
  if (plan.steps.some((s) => s.kind === 'pull')) return plan;
  const lastPour = plan.steps.findLast((s) => s.kind === 'pour')?.id;
  return insertLate(plan, { id: freshId('u', plan.steps), kind: 'pull' }, lastPour);
}

/** All columns are pulled right before a step, whenever they were to be. */
export function pullBefore(plan: Plan, stepId: StepId): Plan {
  const pull: Step = plan.steps.find((s) => s.kind === 'pull') ?? {
    id: freshId('u', plan.steps),
    kind: 'pull',
  };
  return {
    ...plan,
    steps: plan.steps.filter((s) => s !== pull).flatMap((s) => (s.id === stepId ? [pull, s] : [s])),
  };
}

export const updateStroke = (
  plan: Plan,
  stepId: StepId,
  change: Partial<Omit<Stroke, 'id' | 'kind'>>,
): Plan => updateStep(plan, 'stroke', stepId, change);
