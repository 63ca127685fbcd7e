// npm run recount [-- plans=10000 seed=1]: plans of every kind, their sheets followed line by line with
// chemistry of its own. Apart from npm test, which follows a hundred; ten thousand take about a quarter of an
// hour. The same seed tries the same.
import fc from 'fast-check';
import { anyDay } from '../support/anyDay.ts';
import { recountDay } from '../support/recountDay.ts';

const given = new Map(process.argv.slice(2).map((a) => a.split('=') as [string, string]));
const [plans, seed] = [Number(given.get('plans') ?? 10000), Number(given.get('seed') ?? 1)];
/** so many at a time: the plans of a block are the same whatever comes after it */
const BLOCK = 250;

const counts = { followed: 0, refused: 0, lines: 0, 'lye-heavy for a time, and said': 0 };
const refused = new Map<string, number>();
let wrong = 0;
for (let start = 0; start < plans; start += BLOCK) {
  const numRuns = Math.min(BLOCK, plans - start);
  for (const [i, day] of fc.sample(anyDay, { numRuns, seed: seed * 100003 + start }).entries()) {
    const found = recountDay(day);
    counts.lines += found.lines;
    if (found.refused.length > 0) counts.refused += 1;
    else counts.followed += 1;
    if (found.said > 0) counts['lye-heavy for a time, and said'] += 1;
    for (const code of new Set(found.refused)) refused.set(code, (refused.get(code) ?? 0) + 1);
    if (found.faults.length === 0) continue;
    wrong += 1;
    process.stdout.write(`plan ${start + i}: ${found.faults.slice(0, 3).join('; ')}\n`);
  }
}
process.stdout.write(`seed ${seed}: ${plans} plans, ${wrong} wrong\n`);
for (const [what, n] of Object.entries(counts)) process.stdout.write(`${String(n).padStart(8)}  ${what}\n`);
for (const [code, n] of [...refused].toSorted((a, b) => b[1] - a[1]))
  process.stdout.write(`${String(n).padStart(8)}  refused: ${code}\n`);
process.exitCode = wrong > 0 ? 1 : 0;
