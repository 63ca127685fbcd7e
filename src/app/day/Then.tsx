import { isDone, type Screen } from '../../core/making/screens.ts';
import { titleOf } from '../../core/making/words.ts';
import { useShow } from '../parts/useShow.ts';
import { useDay } from './dayContext.ts';

/** What comes next, and after next. */
export function Then({ screen }: { readonly screen: Screen }) {
  const { state, screens } = useDay();
  const show = useShow(state.plan.units);
  const coming = screens
    .slice(screens.indexOf(screen) + 1)
    .filter((s) => !isDone(s, state))
    .slice(0, 2)
    .map(({ id, act, turn }) => {
      if (turn) return { id, says: `${turn.letter} ${show.mass(turn.massG)}, round ${turn.round}` };
      const [line] = act.lines;
      const mass =
        line && act.lines.length === 1
          ? ` ${(line.fine ? show.fine : line.lye ? show.lye : show.mass)(line.massG)}`
          : '';
      return { id, says: `${titleOf(act, state.plan)}${mass}` };
    });
  if (coming.length === 0) return null;
  return (
    <span className="block text-base leading-snug font-normal">
      {coming.map(({ id, says }, i) => (
        <span key={id}>
          {i > 0 ? ' · then ' : 'then '}
          {says}
        </span>
      ))}
    </span>
  );
}
