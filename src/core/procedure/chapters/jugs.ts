import { startStage } from '../../clock/start.ts';
import type { Drawing } from '../../day/act.ts';
import { VESSEL } from '../../day/vessel.ts';
import { HOLDS_SEEDS } from '../../pattern/windows.ts';
import { foundIn } from '../lines.ts';
import type { Telling } from '../telling.ts';
import { colouredBy, ifWeighed, type TellFor } from './tells.ts';

/** What is taken of a jug, as it is called: "pour 3", "the hole of the column". */
const takingName = ({ pours }: Telling, step: Drawing): string => {
  switch (step.kind) {
    case 'pour':
      return pours.get(step.id) ?? 'the pour';
    case 'pull':
      return 'the hole of the column';
    case 'ridges':
      return 'the hollows of the mat';
  }
};

/** What is stirred into one jug, or done to it. */
export const tellJugs: TellFor<
  | 'colour-pot'
  | 'stir-at-emulsion'
  | 'stir-at-trace'
  | 'stir-at-pass'
  | 'stir-before'
  | 'blend-jug'
  | 'loosen-jug'
> = {
  'colour-pot': (t, act) =>
    ifWeighed(t, act, (lines) => ({
      does: 'colour-pot',
      ...colouredBy(t, lines),
      more: lines.some((l) => l.from.kind === 'supply' && l.to.kind === 'pot'),
    })),
  'stir-at-emulsion': (t, act) =>
    ifWeighed(t, act, () => ({
      does: 'stir-into-pot',
      at: 'emulsion',
      blendTo: startStage(t.computed.plan),
    })),
  'stir-at-trace': (t, act) =>
    ifWeighed(t, act, (lines) => {
      const scent = lines.every((l) => t.w.substances.get(l.substance ?? '')?.kind === 'fragrance');
      return { does: 'stir-into-pot', at: 'trace', ...(scent ? {} : { sinks: HOLDS_SEEDS }) };
    }),
  'stir-at-pass': (t, act) =>
    ifWeighed(t, act, () => ({
      does: 'stir-into-pot',
      at: 'pass',
      holdsG: foundIn(t.w, act.id, VESSEL.pot(act.pot.id)),
    })),
  'stir-before': (t, act) =>
    ifWeighed(t, act, (lines) => ({
      does: 'stir-into-pot',
      at: 'pour',
      pour: takingName(t, act.step),
      holdsG: foundIn(t.w, act.id, VESSEL.pot(act.pot.id)),
      cup: lines.some((l) => l.to.kind === 'cup'),
    })),
  'blend-jug': (_telling, { to }) => ({ deed: { does: 'blend-jug', to } }),
  'loosen-jug': () => ({ deed: { does: 'loosen-jug' } }),
};
