import { lettersOf } from '../fill/layers.ts';
import { barsText } from '../cut/barsText.ts';
import { propsFor } from '../mould/props.ts';
import { isLevel } from '../mould/tilt.ts';
import { formatLength, formatMass, formatVolume, lyeFigure } from '../units/format.ts';
import { upperFirst } from '../units/words.ts';
import { pourNames } from '../plan/deposits.ts';
import type { Computed } from './compute.ts';

/** One figure of a plan before and after it was changed. */
export interface Change {
  readonly what: string;
  readonly was: string;
  readonly now: string;
}

/** The figures that a maker pours by, in words, with a name for each. */
function figures(c: Computed): ReadonlyMap<string, string> {
  const { units } = c.plan;
  const g = (x: number): string => formatMass(x, units.mass, units.scaleStepG);
  const mm = (x: number): string => formatLength(x, units.length);
  const names = pourNames(c.plan);
  const rows: [string, string][] = [
    ['Mould', c.plan.mould.name],
    ['Holds to the rim', formatVolume(c.geometry.rimVolumeMl, units.length)],
    ['Filled to', mm(c.fill.heightMm)],
  ];
  if (c.batch)
    rows.push(
      ['Batter', g(c.batch.batterG)],
      ['Oils', g(c.batch.oilsG)],
      ['Lye', `${lyeFigure(c.batch.lyeG, units.mass, units.scaleStepG)} ${units.mass}`],
      ['Water', g(c.batch.waterG)],
    );
  for (const layer of c.stack.layers)
    rows.push([
      `${upperFirst(names.get(layer.pour.id) ?? '')}, pot ${lettersOf(layer)}`,
      `${g(layer.pouredG)}, ${mm(layer.riseMm)}`,
    ]);
  for (const step of c.plan.steps)
    if (step.kind === 'tilt' && !isLevel(step)) {
      const props = step.props ?? propsFor(c.plan.mould, c.geometry, step);
      rows.push([
        `Prop${rows.some(([w]) => w.startsWith('Prop')) ? `, tilt ${step.id}` : ''}`,
        props.map((p) => mm(p.heightMm)).join(' and '),
      ]);
    }
  rows.push(['Bars', barsText(c.moulds)]);
  return new Map(rows);
}

/** What differs between two states of a plan, figure by figure. */
export function changesBetween(before: Computed, after: Computed): readonly Change[] {
  const [was, now] = [figures(before), figures(after)];
  return [...new Set([...was.keys(), ...now.keys()])].flatMap((what): Change[] => {
    const [a, b] = [was.get(what) ?? '–', now.get(what) ?? '–'];
    return a === b ? [] : [{ what, was: a, now: b }];
  });
}
