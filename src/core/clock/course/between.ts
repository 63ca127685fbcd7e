import { turnsOf } from '../../edit/turns.ts';
import type { ActId, ActOf } from '../../day/act.ts';
import { LIES_FLAT } from '../../setting/carries.ts';
import { stageToKeepRidges } from '../../setting/ridge.ts';
import type { Stage } from '../../units/quantity.ts';
import { LINE_MIN, PULL_MIN, strokeMinutes, WIRE_MIN } from '../../plan/habits.ts';
import type { Step } from '../../plan/stepSchema.ts';
import type { About, Draft } from './draft.ts';

/** A stick goes through what is no thicker than this, a wire through a little more. Common practice, no source. */
const STICK_MOST: Stage = 1.8;
const WIRE_MOST: Stage = LIES_FLAT;

/** What is scraped crumbles above this. A judgement, no source. */
const SCRAPES_MOST: Stage = 4.4;

/** A line of colorant is put on what is about medium. Common practice, no source. */
const LINE_LEAST: Stage = 2;

/** What carries out a step. */
export const aboutStep = (id: ActId, step: Step): About => ({ of: [id], step });

export function addWait(draft: Draft, { id, step }: ActOf<'wait'>): void {
  const { until } = step;
  const held =
    until.kind === 'minutes'
      ? { rest: { minutes: until.minutes, after: draft.lastOnMould } }
      : draft.on(step, until.stage);
  draft.add({ does: 'wait', minutes: 0, pots: [], ...held }, aboutStep(id, step), 'jugs');
  draft.sets(step);
}

export function addTilt(draft: Draft, { id, step }: ActOf<'tilt'>): void {
  const base = {
    does: 'tilt',
    minutes: draft.habits.tiltMin * draft.countOf(step),
    pots: [],
  } as const;
  if (step.fluid) {
    draft.add({ ...base, ...draft.whileFluid(step, LIES_FLAT), moves: draft.fluidBy(step) }, aboutStep(id, step));
    return;
  }
  const needs = draft
    .mouldsOf(step)
    .flatMap(
      (m) =>
        turnsOf(m.plan, m.stack.layers).find((t) => t.tiltId === step.id && t.degrees > 0)?.neededStage ?? [],
    );
  draft.add(
    { ...base, ...(needs.length > 0 ? draft.on(step, Math.max(...needs)) : {}) },
    aboutStep(id, step),
  );
  draft.sets(step);
}

export function addScrape(draft: Draft, { id, step }: ActOf<'scrape'>): void {
  const keeps = draft
    .mouldsOf(step)
    .flatMap((m) =>
      m.stack.layers.flatMap(({ scraping, densityGMl }) =>
        scraping?.scrape.id === step.id
          ? [stageToKeepRidges(scraping.highestMm - scraping.lowestMm, densityGMl)]
          : [],
      ),
    );
  draft.add(
    {
      does: 'scrape',
      minutes: draft.habits.scrapeMin * draft.countOf(step),
      pots: [],
      ...draft.on(step, Math.max(0, ...keeps)),
      ...draft.whileFluid(step, SCRAPES_MOST),
    },
    aboutStep(id, step),
  );
  draft.sets(step);
}

export const addStroke = (draft: Draft, { id, step }: ActOf<'stroke'>): void => {
  draft.add(
    {
      does: 'stroke',
      minutes: strokeMinutes(step) * draft.countOf(step),
      pots: [],
      ...draft.whileFluid(step, STICK_MOST),
      moves: draft.fluidBy(step),
    },
    aboutStep(id, step),
  );
};

export const addWire = (draft: Draft, { id, step }: ActOf<'wire'>): void => {
  draft.add(
    {
      does: 'wire',
      minutes: WIRE_MIN * draft.countOf(step),
      pots: [],
      ...draft.whileFluid(step, WIRE_MOST),
      moves: draft.fluidBy(step),
    },
    aboutStep(id, step),
  );
};

export const addLine = (draft: Draft, { id, step }: ActOf<'line'>): void => {
  draft.add(
    {
      does: 'line',
      minutes: LINE_MIN * draft.countOf(step),
      pots: [],
      ...draft.on(step, LINE_LEAST),
    },
    aboutStep(id, step),
  );
};

export const addPull = (draft: Draft, { id, step }: ActOf<'pull'>): void => {
  draft.add({ does: 'pull', minutes: PULL_MIN * draft.countOf(step), pots: [] }, aboutStep(id, step));
};
