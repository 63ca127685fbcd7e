import { readFileSync, readdirSync } from 'node:fs';
import { expect } from 'chai';
import fc from 'fast-check';
import { AS_PLANNED, happenedIn } from '../../src/core/batch/happened.ts';
import { computePlan } from '../../src/core/computed/compute.ts';
import { readPlanFile } from '../../src/core/exchange/planFile.ts';
import { procedureOf } from '../../src/core/procedure/procedureOf.ts';
import { sheetJson } from '../../src/core/sheet/sheetJson.ts';
import { anyDay, type LivedDay } from '../support/anyDay.ts';
import { figuresOf, keptAs } from '../support/figures.ts';
import { rareLoaves, withRarer } from '../support/rarer.ts';
import { recountDay } from '../support/recountDay.ts';

/*
 * Figures of whole sheets as they were when they had been recounted line by line: the studio's plans, old
 * files with what was poured, the studio's once more with what is set more rarely, and days of every kind by
 * seed. A change anywhere in what is weighed, timed, coloured or measured shows here as the figure that it
 * moves. Where it is meant, `GOLDEN=write npx mocha test/unit/figures.test.ts` writes them anew; what git
 * then shows is read line by line, and recounted (`npm run recount`), before it is kept.
 */
const DAYS = 20;
const SEED = 25;

const read = (path: string): LivedDay => {
  const file = readPlanFile(readFileSync(path, 'utf8'));
  if (!file.ok) throw new Error(`${path} is no plan`);
  return { plan: file.plan, happened: happenedIn(file.batch, file.plan) };
};
const filesIn = (folder: string): [string, () => LivedDay][] =>
  readdirSync(folder)
    .filter((f) => f.endsWith('.dripline.json'))
    .map((f) => [f.replace('.dripline.json', ''), () => read(`${folder}/${f}`)]);

const studio = filesIn('demo/plans');
/** What takes its time last. */
const days: readonly [string, () => LivedDay][] = [
  ...fc
    .sample(anyDay, { numRuns: DAYS, seed: SEED })
    .map((day, i): [string, () => LivedDay] => [`day-${i}`, () => day]),
  ...filesIn('test/fixtures'),
  ...rareLoaves.map(([name, planOf]): [string, () => LivedDay] => [
    name,
    () => ({ plan: planOf(), happened: AS_PLANNED }),
  ]),
  ...studio.map(([name, dayOf], i): [string, () => LivedDay] => [
    `${name}-otherwise`,
    () => ({ ...dayOf(), plan: withRarer(dayOf().plan, i) }),
  ]),
  ...studio,
];

describe('figures of whole sheets', () => {
  for (const [name, dayOf] of days)
    it(`of ${name} are as they were recounted`, () => {
      const day = dayOf();
      const computed = computePlan(day.plan, day.happened);
      // which scale shows it is no figure of the sheet's JSON
      const fine = procedureOf(computed).map((act) => act.lines.map((l) => l.fine));
      keptAs(`test/golden/figures/${name}.txt`, figuresOf({ ...sheetJson(computed), fine }), () => {
        expect(recountDay(day).faults, 'a recount').to.eql([]);
      });
    });
});
