import { mkdirSync, readFileSync, readdirSync, writeFileSync } from 'node:fs';
import { expect } from 'chai';
import fc from 'fast-check';
import { AS_PLANNED, happenedIn } from '../../src/core/batch/happened.ts';
import { computePlan } from '../../src/core/computed/compute.ts';
import { readPlanFile } from '../../src/core/exchange/planFile.ts';
import { sheetJson } from '../../src/core/sheet/sheetJson.ts';
import { anyDay, type LivedDay } from '../support/anyDay.ts';
import { figuresOf } from '../support/figures.ts';
import { rareLoaves, withRarer } from '../support/rarer.ts';
import { recountDay } from '../support/recountDay.ts';

/*
 * Figures of whole sheets as they were when they had been recounted line by line: the studio's plans, old
 * files with what was poured, the studio's once more with what is set more rarely, and days of every kind by
 * seed. A change anywhere in what is weighed, timed, coloured or measured shows here as the figure that it
 * moves. Where it is meant, `GOLDEN=write npx mocha test/unit/figures.test.ts` writes them anew; what git
 * then shows is read line by line, and recounted (`npm run recount`), before it is kept.
 */
const KEPT = 'test/golden/figures';
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
const days: readonly [string, () => LivedDay][] = [
  ...studio,
  ...studio.map(([name, dayOf], i): [string, () => LivedDay] => [
    `${name}-otherwise`,
    () => ({ ...dayOf(), plan: withRarer(dayOf().plan, i) }),
  ]),
  ...rareLoaves.map(([name, planOf]): [string, () => LivedDay] => [
    name,
    () => ({ plan: planOf(), happened: AS_PLANNED }),
  ]),
  ...filesIn('test/fixtures'),
  ...fc
    .sample(anyDay, { numRuns: DAYS, seed: SEED })
    .map((day, i): [string, () => LivedDay] => [`day-${i}`, () => day]),
];

describe('figures of whole sheets', () => {
  if (process.env['GOLDEN'] === 'write') mkdirSync(KEPT, { recursive: true });

  for (const [name, dayOf] of days)
    it(`of ${name} are as they were recounted`, () => {
      const { plan, happened } = dayOf();
      const figures = figuresOf(sheetJson(computePlan(plan, happened)));
      if (process.env['GOLDEN'] === 'write') {
        expect(recountDay({ plan, happened }).faults, 'a recount').to.eql([]);
        writeFileSync(`${KEPT}/${name}.txt`, figures);
      }
      const kept = readFileSync(`${KEPT}/${name}.txt`, 'utf8');
      const moved = figures.split('\n').filter((line, i) => line !== kept.split('\n')[i]);
      expect(moved.slice(0, 5).join('\n'), 'figures that moved').to.equal('');
      expect(figures).to.equal(kept);
    });
});
