import type { Page } from 'playwright-core';
import { courseOf } from '../src/core/clock/courseOf.ts';
import type { PlanCourse } from '../src/core/clock/planCourse.ts';
import { planTimetable } from '../src/core/clock/timetable.ts';
import { searching } from '../src/core/clock/ways.ts';
import { computePlan } from '../src/core/computed/compute.ts';
import { layPlan } from '../src/core/fill/layPlan.ts';
import type { Plan } from '../src/core/plan/planSchema.ts';
import { finish } from '../src/core/task/task.ts';
import { Normals } from '../src/core/timing/normals.ts';
import { sampling } from '../src/core/timing/odds.ts';
import { Run } from '../src/core/timing/run.ts';
import { demoPlans } from '../test/support/plans.ts';
import { medianMs, ms, percentile, type Say } from './measure.ts';

const SAMPLES = 2000;

/** Even layers with a strong scent in the batch, one pot each, or with fewer pots in turn. */
export function layersOf(pours: number, pots = pours): Plan {
  const plan = demoPlans().find((p) => p.name === 'Scree Slump');
  const [pot] = plan?.pots ?? [];
  const step = plan?.steps.find((s) => s.kind === 'pour');
  if (!plan || !pot || !step) throw new Error('there is no such demo');
  const own = Array.from({ length: pots }, (_, i) => ({
    ...pot,
    id: `p${i + 1}`,
    letter: `${String.fromCharCode(65 + (i % 26))}${i < 26 ? '' : String(Math.floor(i / 26))}`,
  }));
  return {
    ...plan,
    pots: own,
    steps: Array.from({ length: pours }, (_, i) => ({
      ...step,
      id: `s${i + 1}`,
      pot: own[i % pots]?.id ?? 'p1',
      amount: { kind: 'rest', parts: 1 } as const,
    })),
  };
}

const course = (plan: Plan): PlanCourse => {
  const found = courseOf(plan, layPlan(plan));
  if (!found) throw new Error('no recipe');
  return found;
};

const oddsMs = (plan: Plan, samples = SAMPLES): number => {
  const of = course(plan).course;
  const normals = new Normals(20, samples);
  return medianMs(() => finish(sampling(of, normals, 'feel')), 7);
};

export function benchClock(say: Say): void {
  const twelve = layersOf(12);
  const ofTwelve = oddsMs(twelve);
  say('clock: 12 pots, 2 000 samples (aim: 60 ms)', ms(ofTwelve));
  say('clock: samples a second, 12 pots', String(Math.round(SAMPLES / (ofTwelve / 1000))));
  const laid = layPlan(twelve);
  say('clock: timetable of 12 pots, course and one pass', ms(medianMs(() => planTimetable(twelve, laid))));
  const [few, many] = [layersOf(4), layersOf(40)].map((p) => {
    const of = course(p);
    const run = new Run(of.course);
    return medianMs(() => run.go());
  });
  say('clock: one pass, 40 pours against 4 (aim: about 10 x)', `${((many ?? 0) / (few ?? 1)).toFixed(1)} x`);
  const eight = layersOf(8);
  const laidEight = layPlan(eight);
  const accepts = (p: Plan): boolean => computePlan(p).warnings.every((w) => w.level !== 'refuse');
  let tried = 0;
  const search = (): void => {
    tried = finish(searching(eight, laidEight, { seed: 20, samples: SAMPLES, accepts }))?.tried ?? 0;
  };
  search();
  const times = Array.from({ length: 5 }, () => {
    const from = performance.now();
    search();
    return performance.now() - from;
  });
  say('clock: search for 8 pots, all choices (aim: 1 000 ms)', `${ms(percentile(times, 50))}, ${tried} ways`);
}

/**
 * The same in the page: a pour dragged on its lane, and the search in its worker, from the press until it is
 * shown.
 */
export async function benchClockPage(page: Page, url: string, id: string, say: Say): Promise<void> {
  await page.goto(`${url}/plan/${id}/clock/timetable`);
  const drop = page.getByRole('slider', { name: /^Pour 4 \(/ });
  await drop.scrollIntoViewIfNeeded();
  const box = await drop.boundingBox();
  if (!box) throw new Error('no drop to drag');
  await page.evaluate(() => {
    const times: number[] = [];
    Object.assign(window, { times });
    let start = 0;
    addEventListener('pointermove', () => (start = performance.now()), { capture: true });
    addEventListener('pointermove', () => queueMicrotask(() => times.push(performance.now() - start)));
  });
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  for (let i = 0; i < 120; i += 1) await page.mouse.move(x + 30 * Math.sin(i / 9), y);
  await page.mouse.up();
  const times = await page.evaluate(() => (window as unknown as { times: number[] }).times);
  say('clock: dragging a pour of 8, scripting per move, median (aim: 16 ms)', ms(percentile(times, 50)));
  say('clock: dragging a pour of 8, scripting per move, 95th percentile', ms(percentile(times, 95)));
  await page.goto(`${url}/plan/${id}/clock/ways`);
  const opened = performance.now();
  await page.getByRole('link', { name: /Clock holds \d+ of 100/ }).waitFor();
  say('clock: opening the plan, until its odds are told', ms(performance.now() - opened));
  const press = async (name: string): Promise<number> => {
    const from = performance.now();
    await page.getByRole('button', { name }).click();
    await page.getByRole('progressbar').waitFor();
    await page.getByRole('progressbar').waitFor({ state: 'detached' });
    return performance.now() - from;
  };
  say(
    'clock: search for 8 pots in its worker, from the press, the first time',
    ms(await press('Plan it for me')),
  );
  const again = [await press('Look again'), await press('Look again'), await press('Look again')];
  say('clock: the same once the worker has run it (aim: 1 000 ms)', ms(percentile(again, 50)));
}
