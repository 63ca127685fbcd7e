// npm run mutants [-- faults=200 seed=1 only=weights again=LOG]: small faults planted in what weighs, times,
// colours and measures, one at a time, each followed by the tests that run what it stands in. Apart from npm
// test; more than an hour on two cores. The same seed plants the same.
import { cpSync, mkdtempSync, readdirSync, readFileSync, rmSync, symlinkSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { seeded } from '../support/random.ts';
import { CHANGES_NOTHING } from './changesNothing.ts';
import { look, nearest, passes, type Spec } from './near.ts';
import { faultsIn, type Fault } from './plant.ts';

/** Folders of the core by what they work out. */
const AREAS = {
  weights: ['weigh', 'ledger', 'ask', 'batter', 'fill'],
  clock: ['timing', 'clock', 'setting', 'day'],
  colour: ['colour', 'colorant', 'ombre', 'look'],
  geometry: ['geometry', 'mould', 'cut', 'flow'],
} as const;
type Area = keyof typeof AREAS;

/**
 * Lists of what there is to choose from: a figure there is one maker's habit, and what it should be no sum.
 */
const CATALOGUES = ['colorant/starters.ts', 'batter/oilLibrary.ts', 'mould/starterMoulds.ts'];

/** Kept figures of whole sheets and of what is offered, that nearly everything moves: asked first. */
const FIGURES = ['test/unit/figures.test.ts', 'test/unit/figuresOffered.test.ts'];

/** Tests near a fault are run until they come to this, s: three of them at least. */
const NEAR_S = 60;

/** Of the faults that change something at most this part may live. */
const MOST_LIVING = 0.1;

const given = new Map(process.argv.slice(2).map((a) => a.split('=') as [string, string]));
const [wanted, seed] = [Number(given.get('faults') ?? 200), Number(given.get('seed') ?? 1)];
const only = given.get('only');
/** What lived in an earlier run, by its output: those alone are planted again. */
const again = given.get('again');
const next = seeded(seed);

const filesOf = (area: Area): readonly string[] =>
  AREAS[area].flatMap((folder) =>
    readdirSync(`src/core/${folder}`, { recursive: true, encoding: 'utf8' })
      .filter((f) => f.endsWith('.ts') && !CATALOGUES.includes(`${folder}/${f}`))
      .map((f) => `src/core/${folder}/${f}`)
      .toSorted(),
  );

/** So many faults of an area, each file as likely as it is long. */
function drawn(area: Area, count: number): readonly Fault[] {
  const all = filesOf(area).flatMap((file) => faultsIn(file, readFileSync(file, 'utf8')));
  const chosen = new Set<Fault>();
  while (chosen.size < Math.min(count, all.length)) chosen.add(all[Math.floor(next() * all.length)]!);
  return [...chosen];
}

const NOT_COPIED = new Set(['.git', 'dist', 'node_modules']);

/** Those of an area that lived before. */
function livedBefore(area: Area, log: string): readonly Fault[] {
  const names = new Set(
    readFileSync(log, 'utf8')
      .split('\n')
      .map((line) => line.split(' lives: ')[1]),
  );
  return filesOf(area)
    .flatMap((file) => faultsIn(file, readFileSync(file, 'utf8')))
    .filter((f, i, all) => names.has(f.name) && all.findIndex((o) => o.name === f.name) === i);
}

/** A copy of the project to plant in. */
function copied(): string {
  const root = mkdtempSync(join(tmpdir(), 'drip-line-mutants-'));
  cpSync('.', root, { recursive: true, filter: (path) => !NOT_COPIED.has(path) });
  symlinkSync(join(process.cwd(), 'node_modules'), join(root, 'node_modules'));
  return root;
}

const specs = ['unit', 'reference'].flatMap((kind) =>
  readdirSync(`test/${kind}`)
    .filter((f) => f.endsWith('.test.ts'))
    .map((f) => `test/${kind}/${f}`),
);
const roots = [copied(), copied()];
process.stdout.write(`what runs in which of ${specs.length} files of tests...\n`);
const looked: Spec[] = [];
const unseen = specs.values();
await Promise.all(
  roots.map(async (root) => {
    for (const file of unseen) looked.push(await look(root, file));
  }),
);

const areas = (Object.keys(AREAS) as Area[]).filter((a) => only === undefined || a === only);
const faults = areas.flatMap((area) =>
  (again === undefined ? drawn(area, Math.ceil(wanted / areas.length)) : livedBefore(area, again)).map(
    (fault) => ({ area, fault }),
  ),
);
const waiting = faults.entries();
const lived: { readonly area: Area; readonly fault: Fault }[] = [];
const same: string[] = [];
let done = 0;

async function work(root: string): Promise<void> {
  for (const [, one] of waiting) {
    const { fault } = one;
    const text = readFileSync(fault.file, 'utf8');
    writeFileSync(join(root, fault.file), text.slice(0, fault.from) + fault.is + text.slice(fault.to));
    let caught = false;
    for (const spec of new Set([...FIGURES, ...nearest(looked, fault, NEAR_S)])) {
      caught = !(await passes(root, spec, {}, 240));
      if (caught) break;
    }
    writeFileSync(join(root, fault.file), text);
    done += 1;
    if (!caught && fault.name in CHANGES_NOTHING) same.push(fault.name);
    else if (!caught) {
      lived.push(one);
      process.stdout.write(`${done}/${faults.length} lives: ${fault.name}\n`);
    } else if (done % 20 === 0) process.stdout.write(`${done}/${faults.length}\n`);
  }
}
await Promise.all(roots.map(work));
for (const root of roots) rmSync(root, { recursive: true });

for (const name of same) process.stdout.write(`changes nothing: ${name}\n  ${CHANGES_NOTHING[name] ?? ''}\n`);
for (const area of areas) {
  const of = faults.filter((f) => f.area === area).length;
  const live = lived.filter((f) => f.area === area).length;
  process.stdout.write(`${String(of).padStart(6)} planted in ${area}, ${live} lived\n`);
}
const part = lived.length / Math.max(1, faults.length - same.length);
process.stdout.write(
  `seed ${seed}: ${faults.length} planted, ${same.length} change nothing, ${lived.length} lived: ${(100 * part).toFixed(1)} %\n`,
);
process.exitCode = part > MOST_LIVING ? 1 : 0;
