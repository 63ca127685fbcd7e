import type { StepId } from '../validate/ids.ts';
import { mouldOfStep } from './moulds.ts';
import type { Plan } from './planSchema.ts';
import type { MicaLine, Pour, Scrape } from './stepSchema.ts';

/** The layer that is scraped, or that a line is put on: the one poured last before it in its mould. */
export function layerUnder({ steps }: Pick<Plan, 'steps'>, step: Scrape | MicaLine): Pour | undefined {
  const before = steps.slice(0, steps.indexOf(step));
  return before.findLast((s): s is Pour => s.kind === 'pour' && mouldOfStep(s) === mouldOfStep(step));
}

/** The pour that follows a scraping in its mould. */
export function nextPour({ steps }: Pick<Plan, 'steps'>, scrape: Scrape): Pour | undefined {
  const after = steps.slice(steps.indexOf(scrape) + 1);
  return after.find((s): s is Pour => s.kind === 'pour' && mouldOfStep(s) === mouldOfStep(scrape));
}

/** What is scraped, by its pour. A layer is scraped once: what is asked of it again is left out. */
export function scrapesOf(plan: Pick<Plan, 'steps'>): ReadonlyMap<StepId, Scrape> {
  const scrapes = new Map<StepId, Scrape>();
  for (const step of plan.steps) {
    const pour = step.kind === 'scrape' ? layerUnder(plan, step) : undefined;
    if (step.kind === 'scrape' && pour && !scrapes.has(pour.id)) scrapes.set(pour.id, step);
  }
  return scrapes;
}
