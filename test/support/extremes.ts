import { readPlanValue } from '../../src/core/exchange/planValue.ts';
import type { Mould } from '../../src/core/mould/schema.ts';
import type { Plan } from '../../src/core/plan/planSchema.ts';
import type { Step } from '../../src/core/plan/stepSchema.ts';
import type { TopWay } from '../../src/core/plan/topSchema.ts';
import { largePlan } from './largePlan.ts';
import { basePlan, pour, rest } from './plans.ts';

const box = (lengthMm: number, widthMm: number, heightMm: number, more: Partial<Mould> = {}): Mould => ({
  name: 'Test box',
  material: 'wood',
  shape: { kind: 'box', lengthMm, widthMm, heightMm },
  wallMm: 10,
  bowMm: 0,
  linerMm: 0,
  ...more,
});

const times = <T>(count: number, make: (i: number) => T): T[] =>
  Array.from({ length: count }, (_, i) => make(i));

const inTurn = (i: number): string => (i % 2 === 0 ? 'p1' : 'p2');

const top = (way: TopWay, i = 0): Step => ({ id: `t${i}`, kind: 'top', way });

const all = pour('s1', 'p1', rest());

function made(name: string, change: Partial<Plan>): Plan {
  const read = readPlanValue({
    ...basePlan(),
    id: name.replaceAll(' ', '-'),
    name,
    fill: { to: { kind: 'headspace', headspaceMm: 0 }, copies: 1, overagePercent: 0, top: [] },
    ...change,
  });
  if (!read.ok) throw new Error(`${name}: ${read.faults[0].at ?? ''}: ${read.faults[0].message}`);
  return read.plan;
}

/** Down a wall in so many rounds of so many pots. */
const rounds = (id: string, pots: number, count: number): Step => ({
  ...pour(id, 'p1', rest()),
  pattern: {
    place: { at: 'wall', wall: 'left' },
    then: times(pots - 1, (i) => inTurn(i + 1)),
    rounds: times(count, () => 1),
  },
});

const dents = (i: number): Step => top({ top: 'dents', rows: 24, perBar: 24, acrossMm: 4, depthMm: 2 }, i);

/** Plans grown to the limits of what a plan may say: every one of them opens, so none may hold the page. */
export const EXTREMES: Readonly<Record<string, () => Plan>> = {
  large: () => ({ ...largePlan(), name: 'large' }),
  dents: () => made('dents', { steps: [all, ...times(100, dents)] }),
  'dents on a slab': () =>
    made('dents on a slab', { mould: box(2000, 1000, 100), steps: [all, ...times(20, dents)] }),
  piping: () =>
    made('piping', {
      mould: box(2000, 1000, 200),
      steps: [
        all,
        top({
          top: 'piping',
          rows: times(12, (i) => ({ pot: 'q1', offMm: i * 4 - 22, acrossMm: 3, heightMm: 3, perBar: 24 })),
        }),
      ],
      second: {
        batter: basePlan().batter,
        pots: [{ ...basePlan().pots[0]!, id: 'q1', letter: 'Q' }],
        overagePercent: 5,
      },
    }),
  pieces: () =>
    made('pieces', {
      mould: box(2000, 1000, 200),
      steps: [
        all,
        ...times(100, (i) =>
          top(
            {
              top: 'pieces',
              name: 'bead',
              colour: '#aa3322',
              rows: 8,
              perBar: 7,
              acrossMm: 4,
              heightMm: 3,
              massG: 0.1,
            },
            i,
          ),
        ),
      ],
    }),
  'rough compartments': () =>
    made('rough compartments', {
      mould: box(600, 600, 80, {
        divider: { runs: 'lengthwise', atMm: times(11, (i) => 50 * (i + 1)), thicknessMm: 2 },
      }),
      steps: times(192, (i): Step => ({
        ...pour(`s${i}`, inTurn(i), { kind: 'rest', parts: 1 }),
        compartment: i % 12,
        roughMm: 3,
      })),
    }),
  rounds: () => made('rounds', { steps: times(100, (i) => rounds(`s${i}`, 24, 60)) }),
  spirals: () =>
    made('spirals', {
      steps: [
        rounds('s0', 4, 6),
        ...times(190, (i): Step => ({
          id: `k${i}`,
          kind: 'stroke',
          path: { kind: 'spiral', about: { xMm: 0, yMm: 0 }, pitchMm: 4, way: 'out' },
          end: 'thick',
          depthMm: 40,
        })),
      ],
    }),
  'free paths': () =>
    made('free paths', {
      steps: [
        rounds('s0', 4, 6),
        ...times(100, (i): Step => ({
          id: `k${i}`,
          kind: 'stroke',
          path: {
            kind: 'free',
            points: times(2000, (k) => ({ xMm: 30 * Math.sin(k / 7), yMm: 100 * Math.cos(k / 11) })),
          },
          end: 'thick',
          depthMm: 40,
        })),
      ],
    }),
  wires: () =>
    made('wires', {
      steps: [
        rounds('s0', 4, 6),
        ...times(190, (i): Step => ({
          id: `w${i}`,
          kind: 'wire',
          lies: 'lengthwise',
          girthMm: 3,
          points: times(120, (k) => ({ acrossMm: 20 * Math.sin(k / 3 + i), heightMm: 10 + k / 4 })),
        })),
      ],
    }),
  scrapes: () =>
    made('scrapes', {
      steps: times(99, (i): readonly Step[] => [
        pour(`s${i}`, inTurn(i), rest()),
        {
          id: `c${i}`,
          kind: 'scrape',
          pulled: 'lengthwise',
          edge: {
            kind: 'drawn',
            points: times(400, (k) => ({ acrossMm: (k - 200) / 5, part: (k % 7) / 6 })),
          },
          reliefMm: 0.5,
          depthMm: 0.5,
          to: 'pot',
        },
      ]).flat(),
    }),
  drops: () =>
    made('drops', {
      steps: times(50, (i): Step => ({
        ...pour(`s${i}`, 'p1', rest()),
        pattern: {
          place: { at: 'drops', spots: times(24, (k) => ({ xMm: (k % 4) * 8 - 12, yMm: 10 * k - 110 })) },
          then: times(23, (k) => inTurn(k + 1)),
          rounds: times(60, () => 1),
        },
      })),
    }),
  columns: () =>
    made('columns', {
      mould: box(400, 200, 100, {
        columns: times(8, (i) => ({
          id: `c${i}`,
          form: 'own' as const,
          xMm: i % 2 === 0 ? -45 : 45,
          yMm: 45 * i - 158,
          points: times(24, (k) => {
            const r = k % 2 === 0 ? 18 : 9;
            return { xMm: r * Math.cos((k * Math.PI) / 12), yMm: r * Math.sin((k * Math.PI) / 12) };
          }),
        })),
      }),
      steps: [
        ...times(100, (i) => ({
          ...pour(`s${i}`, 'p1', rest()),
          pattern: {
            place: { at: 'column' as const },
            then: times(23, (k) => inTurn(k + 1)),
            rounds: times(6, () => 1),
          },
        })),
        { id: 'x', kind: 'pull' },
      ],
    }),
  'tilted slab': () =>
    made('tilted slab', {
      mould: box(2000, 1000, 300),
      cut: { ...basePlan().cut, strips: 20, thicknessMm: 5, kerfMm: 0, trimStartMm: 0, trimEndMm: 0 },
      steps: times(200, (i): Step =>
        i % 2 === 1
          ? { id: `t${i}`, kind: 'tilt', rollDeg: (i % 7) - 3, pitchDeg: (i % 5) - 2 }
          : pour(`s${i}`, inTurn(i), rest()),
      ),
    }),
  'six moulds': () => {
    const made1 = largePlan();
    return {
      ...made1,
      id: 'six-moulds',
      name: 'six moulds',
      others: times(5, (i) => ({
        id: `m${i}`,
        mould: made1.mould,
        copies: 48,
        to: { kind: 'headspace' as const, headspaceMm: 5 },
        design: 'as-first' as const,
        cut: { ...made1.cut, thicknessMm: 5, kerfMm: 0, strips: 20 },
      })),
    };
  },
};
