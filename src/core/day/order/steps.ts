import { stepsDone } from '../../fill/ridges.ts';
import { columnsIn } from '../../mould/column.ts';
import { heldPots } from '../../plan/held.ts';
import { mouldOfStep, usesAbout } from '../../plan/moulds.ts';
import type { Plan } from '../../plan/planSchema.ts';
import { depositKey, potNamed, potsIn, poursFrom } from '../../plan/sources.ts';
import type { Pour, Step, Top } from '../../plan/stepSchema.ts';
import { pourActId, type ActId, type DayAct } from '../act.ts';
import { madeAtFirst } from './making.ts';
import { Readying } from './ready.ts';

/** An act for each mould that a step is about: the step's own, and with the first those that follow it. */
const inEach = (
  plan: Plan,
  step: Step,
  id: ActId,
  act: (mould: string, id: ActId) => DayAct,
): readonly DayAct[] =>
  usesAbout(plan, step).map((u) => act(u.id, u.id === mouldOfStep(step) ? id : `${id}:${u.id}`));

/** Colour for a pass of a pot that is coloured as it empties. */
function passOf(plan: Plan, step: Pour): readonly DayAct[] {
  const ombre = plan.ombres.find((o) => o.id === step.ombre?.id);
  const pot = potNamed(plan, step.pot);
  if (ombre?.school !== 'one-pot' || !pot) return [];
  const first = poursFrom(plan, pot.id)[0] === step;
  return [{ id: `pass:${step.id}`, does: 'stir-at-pass', chapter: 'pour', step, pot, first }];
}

/** A pour, with all that has to be done to its jugs right before it. */
function pourOf(plan: Plan, jugs: Readying, step: Pour): readonly DayAct[] {
  const pots = potsIn(plan, step);
  return [
    ...pots.flatMap((p) => jugs.coloured(p, 'pour')),
    ...pots.flatMap((pot): readonly DayAct[] =>
      pot.blendTo === undefined
        ? []
        : [
            {
              id: `work:${step.id}:${pot.id}`,
              does: 'blend-jug',
              chapter: 'pour',
              step,
              pot,
              to: pot.blendTo,
            },
          ],
    ),
    ...pots.flatMap((p) => jugs.stirred(p, 'pour')),
    ...passOf(plan, step),
    ...pots
      .filter((p) => p.loosened)
      .map((pot): DayAct => ({
        id: `loosen:${step.id}:${pot.id}`,
        does: 'loosen-jug',
        chapter: 'pour',
        step,
        pot,
      })),
    ...pots.map((pot): DayAct => {
      const key = depositKey(step, pot.id);
      return { id: `stir:${key}`, does: 'stir-before', chapter: 'pour', step, pot, key };
    }),
    { id: pourActId(step.id), does: 'pour', chapter: 'pour', step },
  ];
}

/** The columns out, and their holes filled with what is held back. */
function pullOf(plan: Plan, jugs: Readying, step: Extract<Step, { kind: 'pull' }>): readonly DayAct[] {
  const held = plan.pots.filter((p) => plan.fill.top.some((t) => t.pot === p.id && t.massG > 0));
  return [
    ...held.flatMap((pot): readonly DayAct[] => {
      const key = `${step.id}:${pot.id}`;
      return [
        ...jugs.ready(pot, 'pour'),
        { id: `stir:${key}`, does: 'stir-before', chapter: 'pour', step, pot, key },
      ];
    }),
    ...usesAbout(plan, step)
      .filter((u) => u.id === mouldOfStep(step) || columnsIn(u.mould).length > 0)
      .map(({ id }): DayAct => ({
        id: id === mouldOfStep(step) ? step.id : `${step.id}:${id}`,
        does: 'pull',
        chapter: 'pour',
        step,
        mould: id,
      })),
  ];
}

/** What one step of the plan comes to, but for what is put on top and done to the finished loaf. */
function stepOf(plan: Plan, jugs: Readying, step: Step): readonly DayAct[] {
  const chapter = 'pour';
  switch (step.kind) {
    case 'pour':
      return pourOf(plan, jugs, step);
    case 'wait':
      return [{ id: step.id, does: 'wait', chapter, step }];
    case 'tilt':
      return inEach(plan, step, step.id, (mould, id) => ({ id, does: 'tilt', chapter, step, mould }));
    case 'stroke':
      return [{ id: step.id, does: 'stroke', chapter, step }];
    case 'wire':
      return [{ id: step.id, does: 'wire', chapter, step }];
    case 'scrape':
      return [{ id: `scrape:${step.id}`, does: 'scrape', chapter, step }];
    case 'mica':
      return [{ id: `mica:${step.id}`, does: 'line', chapter, step }];
    case 'pull':
      return pullOf(plan, jugs, step);
    case 'ridges': {
      const pot = potNamed(plan, step.pot);
      return [
        ...(pot
          ? [
              ...jugs.ready(pot, chapter),
              { id: `stir:${step.id}`, does: 'stir-before', chapter, step, pot, key: step.id } as const,
            ]
          : []),
        { id: `on-top:${step.id}`, does: 'fill-ridges', chapter, step },
      ];
    }
    case 'top':
    case 'finish':
      return [];
  }
}

const onTop = (plan: Plan, step: Top): readonly DayAct[] =>
  inEach(plan, step, `on-top:${step.id}`, (mould, id) => ({
    id,
    does: 'put-on-top',
    chapter: 'top',
    step,
    mould,
  }));

/**
 * What is spread over the top, and then what is put on it in order; the batch that is piped is made before
 * the first of it.
 */
function topping(plan: Plan, jugs: Readying, piping: readonly DayAct[]): readonly DayAct[] {
  const held = heldPots(plan);
  const pots = plan.pots.filter((p) => held.has(p.id));
  const tops = plan.steps.filter((s) => s.kind === 'top');
  const piped = tops.findIndex((s) => s.way.top === 'piping');
  return [
    ...pots.flatMap((p) => jugs.ready(p, 'top')),
    { id: 'top', does: 'spread-top', chapter: 'top' },
    ...tops.flatMap((step, i) => [...(i === piped ? piping : []), ...onTop(plan, step)]),
  ];
}

/**
 * Everything from the first pour to the last that is put on top. `piping`: what makes the batch that is
 * piped, once it is wanted.
 */
export function pouring(plan: Plan, piping: readonly DayAct[]): readonly DayAct[] {
  const jugs = new Readying(plan, madeAtFirst(plan));
  return [...stepsDone(plan).flatMap((step) => stepOf(plan, jugs, step)), ...topping(plan, jugs, piping)];
}
