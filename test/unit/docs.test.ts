import { expect } from 'chai';
import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { afterwards } from '../../src/core/clock/afterwards.ts';
import { recipesOf } from '../../src/core/plan/recipes.ts';
import type { Plan } from '../../src/core/plan/planSchema.ts';
import { DripLineDatabase } from '../../src/store/database.ts';
import { boxPlan, rest } from '../support/plans.ts';

const read = (file: string): string => readFileSync(file, 'utf8');

const DOCS = ['README.md', ...readdirSync('docs').flatMap((f) => (f.endsWith('.md') ? [`docs/${f}`] : []))];

describe('what the docs say', () => {
  it('links to and shows what is there', () => {
    for (const file of DOCS)
      for (const [, to = ''] of read(file).matchAll(/\]\(([^)#:]+)(?:#[^)]*)?\)/g))
        expect(existsSync(join(dirname(file), to)), `${file}: ${to}`).to.equal(true);
  });

  it('of what is stored names every table, and no other', () => {
    const table = read('docs/keeping.md').split('| table')[1]!.split('\n\n')[0]!;
    const named = [...table.matchAll(/^\| ([a-z]+) /gm)].map((m) => m[1]);
    const db = new DripLineDatabase('docs');
    expect(named).to.have.members(db.tables.map((t) => t.name));
    db.close();
  });

  it('of the core names every folder, in the order in which they may import', () => {
    const order = /CORE_ORDER = \[([^\]]*)\]/.exec(read('eslint.config.js'))![1]!;
    const listed = read('docs/architecture.md').split('src/core/  ')[1]!.split('    src/store/')[0]!;
    expect([...listed.matchAll(/^ {6}([a-z]+)\/ /gm)].map((m) => m[1])).to.deep.equal(
      [...order.matchAll(/'([a-z]+)'/g)].map((m) => m[1]),
    );
  });

  it('of unmoulding gives the bounds that it keeps: drier, harder, warmer is sooner', () => {
    const [, least, most, cool] = /(\d+) to (\d+) h \(to (\d+) h kept cool\)/.exec(read('docs/models.md'))!;
    const from = (lye: number, coconut: number, finish?: 'warm-oven' | 'leave-cool'): number => {
      const plan = boxPlan([rest()]);
      const done: Plan = {
        ...plan,
        batter: {
          ...plan.batter,
          water: { school: 'lye-concentration', value: lye },
          oils: [
            { oil: 'olive', percent: 100 - coconut },
            { oil: 'coconut', percent: coconut },
          ],
        },
        steps: [...plan.steps, ...(finish ? [{ id: 'f', kind: 'finish' as const, what: finish }] : [])],
      };
      return afterwards(done, recipesOf(done).batch!).unmouldH.from;
    };
    expect(from(50, 95)).to.equal(Number(least));
    expect(from(15, 5)).to.equal(Number(most));
    expect(from(15, 5, 'leave-cool')).to.equal(Number(cool));
    expect(from(33, 60)).to.be.below(from(33, 20));
    expect(from(38, 40)).to.be.below(from(30, 40));
    expect(from(30, 20, 'warm-oven')).to.be.below(from(30, 20));
  });
});
