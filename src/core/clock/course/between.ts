import { turnsOf } from '../../edit/turns.ts';
import type { ActId, ActOf } from '../../day/act.ts';
import { LANDS, SCRAPES, STICK_GOES, STREWN_ON, WIRE_GOES } from '../../pattern/windows.ts';
import { stageToKeepRidges } from '../../setting/ridge.ts';
import { LINE_MIN, PULL_MIN, strokeMinutes, WIRE_MIN } from '../../plan/habits.ts';
import type { Step } from '../../plan/stepSchema.ts';
import type { About, CourseDraft } from './draft.ts';

/** What carries out a step. */
export const aboutStep = (id: ActId, step: Step): About => ({ of: [id], step });

export function addWait(draft: CourseDraft, { id, step }: ActOf<'wait'>): void {
  const { until } = step;
  const held =
    until.kind === 'minutes'
      ? { rest: { minutes: until.minutes, after: draft.lastOnMould } }
      : draft.on(step, until.stage);
  draft.add({ does: 'wait', minutes: 0, pots: [], ...held }, aboutStep(id, step), 'jugs');
  draft.sets(step);
}

export function addTilt(draft: CourseDraft, { id, step }: ActOf<'tilt'>): void {
  const base = {
    does: 'tilt',
    minutes: draft.habits.tiltMin * draft.countOf(step),
    pots: [],
  } as const;
  if (step.fluid) {
    draft.add(
      { ...base, ...draft.whileFluid(step, LANDS.stream), moves: draft.fluidBy(step) },
      aboutStep(id, step),
    );
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

export function addScrape(draft: CourseDraft, { id, step }: ActOf<'scrape'>): void {
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
      ...draft.on(step, Math.max(SCRAPES.least, ...keeps)),
      ...draft.whileFluid(step, { least: 0, most: SCRAPES.most }),
    },
    aboutStep(id, step),
  );
  draft.sets(step);
}

export const addStroke = (draft: CourseDraft, { id, step }: ActOf<'stroke'>): void => {
  draft.add(
    {
      does: 'stroke',
      minutes: strokeMinutes(step) * draft.countOf(step),
      pots: [],
      ...draft.goesThrough(step, STICK_GOES, draft.surfaceOf(step) - step.depthMm),
    },
    aboutStep(id, step),
  );
};

export const addWire = (draft: CourseDraft, { id, step }: ActOf<'wire'>): void => {
  draft.add(
    {
      does: 'wire',
      minutes: WIRE_MIN * draft.countOf(step),
      pots: [],
      ...draft.goesThrough(step, WIRE_GOES, Math.min(...step.points.map((p) => p.heightMm))),
    },
    aboutStep(id, step),
  );
};

export const addLine = (draft: CourseDraft, { id, step }: ActOf<'line'>): void => {
  draft.add(
    {
      does: 'line',
      minutes: LINE_MIN * draft.countOf(step),
      pots: [],
      ...draft.on(step, STREWN_ON),
    },
    aboutStep(id, step),
  );
};

export const addPull = (draft: CourseDraft, { id, step }: ActOf<'pull'>): void => {
  draft.add({ does: 'pull', minutes: PULL_MIN * draft.countOf(step), pots: [] }, aboutStep(id, step));
};
