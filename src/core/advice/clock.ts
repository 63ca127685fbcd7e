import { keepAt, landAll, loosenPot, scentAt, setClock, blendPot } from '../edit/clock.ts';
import { planTimetable, type TimedAct, type Trouble } from '../clock/timetable.ts';
import { actName } from '../clock/words.ts';
import type { Plan } from '../plan/planSchema.ts';
import { stageFigure } from '../setting/stage.ts';
import { formatClock, formatMinutes, formatShort } from '../units/format.ts';
import type { WarningCode } from '../result/warningCodes.ts';
import { finish, type Task } from '../task/task.ts';
import type { Facts } from './facts.ts';
import type { Remedy, Warning } from './warning.ts';
import { remedy, warn } from './warning.ts';

const stage = (s: number | undefined): string => (s === undefined ? '' : stageFigure(s));

/** A pour kept at a minute at which hands are busy is late by more than this, or it is rounding. */
const LATE_MIN = 0.05;

const CODES: Readonly<Record<Trouble, WarningCode>> = {
  breaks: 'clock-breaks',
  tooThick: 'clock-too-thick',
  tooThin: 'clock-too-thin',
  setAlready: 'clock-set-already',
};

/** What goes wrong with an act, and by how much. */
export function troubleText(plan: Plan, timed: TimedAct, trouble: Trouble): string {
  const { act, startMin, belowStage, carriedFromMin, pourableUntilMin } = timed;
  const name = `${actName(plan, timed)} at ${formatClock(startMin)} min`;
  switch (trouble) {
    case 'breaks':
      return act.carried?.stage === undefined
        ? `${name} runs together with what lies below: that bears as ${stage(belowStage)} by then, and would have to bear as ${stage(act.carried?.breaks)}.`
        : `${name} breaks through: what lies below bears as ${stage(belowStage)} by then and carries it from ${stage(act.carried.stage)} on, at ${formatClock(carriedFromMin ?? 0)} min.`;
    case 'tooThick':
      return `${name} comes when its batter is ${stage(timed.stage)}: too thick, it takes up to ${formatShort(act.window?.most ?? 0, 1)}. It would have to be done by ${formatClock(Math.max(0, pourableUntilMin ?? 0))} min.`;
    case 'tooThin':
      return act.window
        ? `${name} comes when its batter is ${stage(timed.firstStage)}: too thin, it wants ${stage(act.window.least)} at least.`
        : `${name} comes when what lies there is too thin yet: it wants ${stage(act.fluid?.least)} at least.`;
    case 'setAlready':
      return `${name} comes when what lies there has thickened above ${stage(act.fluid?.most)}: it no longer moves as it should.`;
  }
}

/** Ways out that are told at the act; each is offered only where it clears the trouble. */
function waysOut(plan: Plan, { about, act }: TimedAct): readonly Remedy[] {
  const { step } = about;
  const pot = step?.kind === 'pour' ? step.pot : undefined;
  const quick = plan.batter.fragrances.some((f) => f.doses.some((d) => d.moment !== 'pour'));
  return [
    ...(step?.kind === 'pour' && step.atMin !== undefined
      ? [remedy('Pour it as soon as it can be', (p: Plan) => keepAt(p, step.id, undefined))]
      : []),
    ...(quick && plan.divide.kind === 'after-emulsion'
      ? [remedy('Scent each jug as it is poured', (p: Plan) => scentAt(p, 'pour'))]
      : []),
    ...(pot !== undefined
      ? [
          remedy('Stir the jug loose as it is poured', (p: Plan) => loosenPot(p, pot, true)),
          remedy('Blend the jug on before it is poured', (p: Plan) =>
            blendPot(p, pot, Math.max(act.window?.least ?? 0, 1.7)),
          ),
        ]
      : []),
    remedy('Spoon the layers on', (p: Plan) => landAll(p, 'spoon')),
    remedy('Colour all jugs first', (p: Plan) => setClock(p, { colouring: 'all-first' })),
    remedy('Stop blending sooner', (p: Plan) => setClock(p, { start: 0.5 })),
  ];
}

/** Remedies told beside a trouble, at most. */
const MOST_REMEDIES = 2;

/** Those that clear this trouble and bring no other. */
function* seekingRemedies(
  facts: Facts,
  timed: TimedAct,
  trouble: Trouble,
  count: number,
  found: Remedy[],
): Task<never, void> {
  for (const [i, remedy] of waysOut(facts.plan, timed).entries()) {
    if (found.length === MOST_REMEDIES) break;
    yield { done: i / (i + 1) };
    const after = planTimetable(remedy.apply(facts.plan), facts);
    const same = after?.acts.find(
      (a) => a.act.key === timed.act.key && a.about.pot?.id === timed.about.pot?.id,
    );
    const troubles = after?.acts.reduce((s, a) => s + a.troubles.length, 0) ?? count;
    if (same && !same.troubles.includes(trouble) && troubles < count) found.push(remedy);
  }
}

/** A pour kept at a minute at which hands were not free. */
function keptLate(plan: Plan, timed: TimedAct): Warning[] {
  const { act, about, startMin } = timed;
  const { step } = about;
  if (step?.kind !== 'pour' || act.at === undefined || startMin - act.at < LATE_MIN) return [];
  const until = Math.ceil(startMin * 10) / 10;
  return [
    warn(
      { station: 'clock', step: step.id },
      'clock-kept-late',
      `${actName(plan, timed)} is kept at ${formatClock(act.at)} min, but hands are busy until ${formatClock(startMin)} min: it begins ${formatMinutes(startMin - act.at)} late.`,
      [
        remedy(`Keep it at ${formatClock(until)} min`, (p) => keepAt(p, step.id, until)),
        remedy('Pour it as soon as it can be', (p) => keepAt(p, step.id, undefined)),
      ],
    ),
  ];
}

/** So many troubles are told one by one; after that, how many more there are. */
const TOLD = 3;

/** What of a plan does not go as it is timed, everything going as it is taken to go. */
export function clockWarnings(facts: Facts): readonly Warning[] {
  const { plan, clock } = facts;
  if (!clock) return [];
  const late = clock.acts.flatMap((a) => keptLate(plan, a));
  const bad = clock.acts.flatMap((a) => a.troubles.map((trouble) => ({ timed: a, trouble })));
  const told = bad.slice(0, TOLD).map(({ timed, trouble }, i): Warning => {
    const { step, pot } = timed.about;
    const more = i === TOLD - 1 && bad.length > TOLD ? ` And ${bad.length - TOLD} more after that.` : '';
    const found: Remedy[] = [];
    const seeking = i === 0 ? seekingRemedies(facts, timed, trouble, bad.length, found) : undefined;
    return {
      ...warn(
        { station: 'clock', ...(step ? { step: step.id } : {}), ...(pot ? { pot: pot.id } : {}) },
        CODES[trouble],
        `${troubleText(plan, timed, trouble)}${more}`,
      ),
      ...(seeking ? { seeking } : {}),
      // looked for once somebody looks at them
      get remedies(): readonly Remedy[] {
        if (seeking) finish(seeking);
        return found;
      },
    };
  });
  return [...late, ...told];
}
