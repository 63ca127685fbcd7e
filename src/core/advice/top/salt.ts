import { lainOnSide } from '../../cut/way.ts';
import { setTop, usualSaltG } from '../../edit/tops.ts';
import type { Plan } from '../../plan/planSchema.ts';
import type { Top } from '../../plan/stepSchema.ts';
import type { TopWay } from '../../plan/topSchema.ts';
import { formatMass, formatShort } from '../../units/format.ts';
import type { Facts } from '../facts.ts';
import { note, warn, remedy, type Warning } from '../warning.ts';
import type { About } from './clear.ts';

/** So many times the usual salt is a crust. A judgement, no source. */
const CRUST = 2.5;

/** Coarse salt strewn on. */
export function strewn(
  facts: Facts,
  step: Top,
  about: About,
  way: Extract<TopWay, { top: 'salt' }>,
): Warning[] {
  const { plan } = facts;
  const usual = usualSaltG(plan);
  const say = (g: number): string => formatMass(g, 'g', plan.units.fineStepG);
  return [
    ...(way.massG > usual * CRUST
      ? [
          warn(
            about,
            'salt-much',
            `${say(way.massG)} of salt is ${formatShort(way.massG / usual, 1)} times what such a top takes: it lies loose, much of it falls off at the cut, and in damp air the top weeps.`,
            [remedy(`Only ${say(usual)}`, (p: Plan) => setTop(p, step.id, { ...way, massG: usual }))],
          ),
        ]
      : []),
    ...(plan.cut.onSide !== true && plan.cut.way === undefined
      ? [
          note(
            about,
            'salt-drags',
            'A wire that goes in through the top drags salt down the faces. Cut on its side it does not.',
            [remedy('Cut on its side', lainOnSide(true))],
          ),
        ]
      : []),
  ];
}
