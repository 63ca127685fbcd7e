import type { Mould } from '../mould/schema.ts';
import type { Grams } from '../units/quantity.ts';
import type { PotId } from '../validate/ids.ts';
import type { Plan, Pot } from './planSchema.ts';
import { isFrom } from './sources.ts';
import type { Pour, Top } from './stepSchema.ts';
import type { PipedRow } from './topSchema.ts';

/** Every row that is piped, with its step. */
export const pipedRows = ({
  steps,
}: Pick<Plan, 'steps'>): readonly { readonly step: Top; readonly row: PipedRow }[] =>
  steps.flatMap((step) =>
    step.kind === 'top' && step.way.top === 'piping' ? step.way.rows.map((row) => ({ step, row })) : [],
  );

/** Batter is piped on it: a second batch is made. */
export const isPiped = (plan: Pick<Plan, 'steps' | 'second'>): boolean =>
  plan.second !== undefined && pipedRows(plan).length > 0;

/** The pot of the second batch by its id. */
export const secondPot = ({ second }: Pick<Plan, 'second'>, id: PotId): Pot | undefined =>
  second?.pots.find((p) => p.id === id);

/** What a second batch is weighed for: bags, of which nothing but what goes into them matters. */
const BAGS: Mould = {
  name: 'Piping bags',
  material: 'plastic',
  shape: { kind: 'box', lengthMm: 600, widthMm: 600, heightMm: 600 },
  linerMm: 0,
  wallMm: 0,
  bowMm: 0,
};

/** A plan is that of a second batch. */
export const isSecond = ({ mould }: Pick<Plan, 'mould'>): boolean => mould === BAGS;

/** Less than this of a pot is piped: the least that a pour can be, g. */
const LEAST_G = 0.1;

/** What is piped of each pot in all, g. */
export type PipedOf = (pot: PotId) => Grams;

/** The same of a second batch that was made a plan before. */
export const pipedIn =
  ({ steps }: Pick<Plan, 'steps'>): PipedOf =>
  (pot) =>
    steps.reduce(
      (s, p) => s + (p.kind === 'pour' && isFrom(p, pot) && p.amount.kind === 'mass' ? p.amount.massG : 0),
      0,
    );

/**
 * The second batch as a plan by itself: its own recipe and pots, each filled into a bag. So it is weighed,
 * coloured and warned of as any batch is. Undefined where nothing is piped.
 */
export const secondPlan = (plan: Plan, massOf: PipedOf): Plan | undefined =>
  isPiped(plan) ? secondAsPlan(plan, massOf) : undefined;

/** The same, also while none of it is piped. */
export function secondAsPlan(plan: Plan, massOf: PipedOf): Plan | undefined {
  const { second } = plan;
  if (!second) return undefined;
  const piped = new Set(pipedRows(plan).map((r) => r.row.pot));
  const { second: _second, ...rest } = plan;
  const steps = second.pots.flatMap((pot): Pour[] =>
    piped.has(pot.id)
      ? [
          {
            id: `bag-${pot.id}`,
            kind: 'pour',
            pot: pot.id,
            compartment: 0,
            amount: { kind: 'mass', massG: Math.max(LEAST_G, massOf(pot.id)) },
            locked: false,
            landing: { how: 'low', fallMm: 20 },
          },
        ]
      : [],
  );
  const allG = second.pots.reduce((s, p) => s + massOf(p.id), 0);
  return {
    ...rest,
    mould: BAGS,
    // an array of its own: paints are remembered by it
    colorants: [...plan.colorants],
    batter: second.batter,
    pots: second.pots,
    divide: { kind: 'after-emulsion' },
    fill: {
      to: { kind: 'height', heightMm: Math.min(600, Math.max(1, allG / 300)) },
      copies: 1,
      overagePercent: second.overagePercent,
      top: [],
    },
    ombres: [],
    steps,
    cut: { thicknessMm: 25, kerfMm: 0, trimStartMm: 0, trimEndMm: 0, strips: 1 },
    others: [],
  };
}
