import { turnsOf } from '../../edit/turns.ts';
import type { MicaLine, Scrape, Step, Stroke, Wait, Wire } from '../../plan/stepSchema.ts';
import { LIES_FLAT } from '../../setting/carries.ts';
import { stageToKeepRidges } from '../../setting/ridge.ts';
import type { Stage } from '../../units/quantity.ts';
import { LINE_MIN, PULL_MIN, strokeMinutes, WIRE_MIN } from '../habits.ts';
import type { Draft } from './draft.ts';

/** A stick goes through what is no thicker than this, a wire through a little more. Common practice, no source. */
const STICK_MOST: Stage = 1.8;
const WIRE_MOST: Stage = LIES_FLAT;

/** What is scraped crumbles above this. A judgement, no source. */
const SCRAPES_MOST: Stage = 4.4;

/** A line of colorant is put on what is about medium. Common practice, no source. */
const LINE_LEAST: Stage = 2;

export function addWait(draft: Draft, step: Wait): void {
  const { until } = step;
  const held =
    until.kind === 'minutes'
      ? { rest: { minutes: until.minutes, after: draft.lastOnMould } }
      : draft.on(step, until.stage);
  draft.add({ key: `wait ${step.id}`, does: 'wait', minutes: 0, pots: [], ...held }, { step }, 'jugs');
  draft.sets(step);
}

export function addTilt(draft: Draft, step: Extract<Step, { kind: 'tilt' }>): void {
  const base = {
    key: `tilt ${step.id}`,
    does: 'tilt',
    minutes: draft.habits.tiltMin * draft.countOf(step),
    pots: [],
  } as const;
  if (step.fluid) {
    draft.add({ ...base, ...draft.whileFluid(step, LIES_FLAT) }, { step });
    return;
  }
  const needs = draft
    .mouldsOf(step)
    .flatMap(
      (m) =>
        turnsOf(m.plan, m.stack.layers).find((t) => t.tiltId === step.id && t.degrees > 0)?.neededStage ?? [],
    );
  draft.add({ ...base, ...(needs.length > 0 ? draft.on(step, Math.max(...needs)) : {}) }, { step });
  draft.sets(step);
}

export function addScrape(draft: Draft, step: Scrape): void {
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
      key: `scrape ${step.id}`,
      does: 'scrape',
      minutes: draft.habits.scrapeMin * draft.countOf(step),
      pots: [],
      ...draft.on(step, Math.max(0, ...keeps)),
      ...draft.whileFluid(step, SCRAPES_MOST),
    },
    { step },
  );
  draft.sets(step);
}

export const addStroke = (draft: Draft, step: Stroke): void => {
  draft.add(
    {
      key: `stroke ${step.id}`,
      does: 'stroke',
      minutes: strokeMinutes(step) * draft.countOf(step),
      pots: [],
      ...draft.whileFluid(step, STICK_MOST),
    },
    { step },
  );
};

export const addWire = (draft: Draft, step: Wire): void => {
  draft.add(
    {
      key: `wire ${step.id}`,
      does: 'wire',
      minutes: WIRE_MIN * draft.countOf(step),
      pots: [],
      ...draft.whileFluid(step, WIRE_MOST),
    },
    { step },
  );
};

export const addLine = (draft: Draft, step: MicaLine): void => {
  draft.add(
    {
      key: `line ${step.id}`,
      does: 'line',
      minutes: LINE_MIN * draft.countOf(step),
      pots: [],
      ...draft.on(step, LINE_LEAST),
    },
    { step },
  );
};

export const addPull = (draft: Draft, step: Extract<Step, { kind: 'pull' }>): void => {
  draft.add(
    { key: `pull ${step.id}`, does: 'pull', minutes: PULL_MIN * draft.countOf(step), pots: [] },
    { step },
  );
};
