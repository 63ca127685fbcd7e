import type { BatchState } from '../batch/state.ts';
import type { ActId } from '../day/act.ts';
import type { Act } from '../procedure/act.ts';
import type { TurnDeed } from '../procedure/deeds.ts';

/** One pot's turn in a pour of rounds. */
export interface Turn extends TurnDeed {
  /** of so many rounds, from 1 */
  readonly round: number;
  readonly rounds: number;
  /** of so many turns in a round, from 1 */
  readonly nth: number;
  /** all turns of its round */
  readonly turns: readonly TurnDeed[];
}

/** What is seen at once on the day: an act, or of a pour of rounds one turn. */
export interface Screen {
  /** what is written down as done: the act's own id, or of a turn an id made of it */
  readonly id: ActId;
  readonly act: Act;
  readonly turn?: Turn;
}

const turnId = (act: ActId, round: number, nth: number): ActId => `${act}~${round}.${nth}`;

function screensOfAct(act: Act): readonly Screen[] {
  const pattern = act.deed.does === 'pour' ? act.deed.pattern : undefined;
  if (!pattern || pattern.roundCount * (pattern.rounds[0]?.turns.length ?? 0) < 2)
    return [{ id: act.id, act }];
  return pattern.rounds.flatMap(({ turns }, r) =>
    turns.map((turn, i) => ({
      id: turnId(act.id, r + 1, i + 1),
      act,
      turn: { ...turn, round: r + 1, rounds: pattern.roundCount, nth: i + 1, turns },
    })),
  );
}

/** Everything that is gone through on the day, in order. */
export const screensOf = (acts: readonly Act[]): readonly Screen[] => acts.flatMap(screensOfAct);

/** An act that is done is, with all its turns. */
export const isDone = ({ id, act }: Screen, { done }: Pick<BatchState, 'done'>): boolean =>
  done.has(id) || done.has(act.id);

/** What is written down as done with a screen: with the last turn of a pour its act, too. */
export function doneWith(screens: readonly Screen[], screen: Screen): readonly ActId[] {
  const own = screens.filter((s) => s.act.id === screen.act.id);
  return own.length > 1 && own.at(-1)?.id === screen.id ? [screen.id, screen.act.id] : [screen.id];
}

/**
 * What is taken back with a screen: the act with it; of an act that was written down as a whole, all turns
 * before it are done by themselves.
 */
export function takenBack(
  screens: readonly Screen[],
  screen: Screen,
  { done }: Pick<BatchState, 'done'>,
): { readonly undone: readonly ActId[]; readonly done: readonly ActId[] } {
  const own = screens.filter((s) => s.act.id === screen.act.id);
  const at = own.findIndex((s) => s.id === screen.id);
  const undone = [...own.slice(at).map((s) => s.id), screen.act.id].filter(
    (id, i, all) => all.indexOf(id) === i,
  );
  return {
    undone: undone.filter((id) => done.has(id)),
    done: own.slice(0, at).flatMap((s) => (done.has(s.id) ? [] : [s.id])),
  };
}
