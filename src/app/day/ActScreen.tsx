import { toAccept, weighedAs } from '../../core/making/accepting.ts';
import { builtOn, comesAfter } from '../../core/making/order.ts';
import { doneWith, isDone, takenBack, type Screen } from '../../core/making/screens.ts';
import { askedBefore, doneWord, titleOf } from '../../core/making/words.ts';
import { CHAPTER_TITLES, type Act } from '../../core/procedure/act.ts';
import { wordsOf } from '../../core/procedure/words/wordsOf.ts';
import { useEffect } from 'react';
import type { Said } from '../../core/batch/note.ts';
import { sayOnDay } from '../../store/day.ts';
import { Press } from './Press.tsx';
import { Caution } from '../parts/Caution.tsx';
import { useShow } from '../parts/useShow.ts';
import { Above } from './Above.tsx';
import { Amounts } from './Amounts.tsx';
import { Cooling } from './Cooling.tsx';
import { useDay } from './dayContext.ts';
import { Foot } from './Foot.tsx';
import { Heading } from './Heading.tsx';
import { speak } from './hear.ts';
import { Jug } from './Jug.tsx';
import { JugList } from './JugList.tsx';
import { LyeWeight } from './LyeWeight.tsx';
import { Meanwhile } from './Meanwhile.tsx';
import { Pace } from './Pace.tsx';
import { Pots } from './Pots.tsx';
import { Readings } from './Readings.tsx';
import { Stands } from './Stands.tsx';
import { Then } from './Then.tsx';
import { Timers } from './Timers.tsx';
import { Turns } from './Turns.tsx';
import { useLive } from './useLive.ts';
import { useSpeed } from './useSpeed.ts';
import { Window } from './Window.tsx';

interface ActScreenProps {
  readonly screen: Screen;
  readonly onBack: (() => void) | undefined;
  /** another act is to come first */
  readonly onInstead: (act: Act) => void;
  /** on from an act that is looked back at */
  readonly onNext: (() => void) | undefined;
}

/** One act: what is done, how much, whether it is its moment, what comes after it. */
export function ActScreen({ screen, onBack, onNext, onInstead }: ActScreenProps) {
  const day = useDay();
  const { state, screens, acts, runs } = day;
  const { plan } = state;
  const show = useShow(plan.units);
  const live = useLive(day);
  const { act: told, turn } = screen;
  const act = live.acts.find((a) => a.id === told.id) ?? told;
  const words = wordsOf(act, plan);
  const mine = turn && plan.pots.find((p) => p.letter === turn.letter);
  const title = titleOf(mine ? { ...act, pot: mine.id } : act, plan);
  const over = turn
    ? `Round ${turn.round} of ${turn.rounds}, turn ${turn.nth} of ${turn.turns.length}`
    : CHAPTER_TITLES[act.chapter];
  const done = isDone(screen, state);
  const waits = toAccept(act, state)[0];
  const asks = state.begun.has(act.id) ? undefined : askedBefore(act);
  useEffect(() => {
    speak(words.text);
    // one act is spoken once, whatever becomes of its minutes
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [screen.id]);
  useSpeed(screen.id);
  const say = (says: readonly Said[]): void => void sayOnDay(says);
  const goOn = (): void => {
    if (waits) say([weighedAs(act, waits.key, waits.line.massG * waits.line.times)]);
    else if (asks !== undefined) say([{ does: 'begun', act: act.id }]);
    else say(doneWith(screens, screen).map((id) => ({ does: 'done', act: id })));
  };
  const stands = done ? undefined : comesAfter(acts, state, told);
  const stays = done ? builtOn(acts, state, told) : undefined;
  const goes =
    !runs || onNext !== undefined || stands
      ? undefined
      : waits
        ? `It shows ${show.lye(waits.line.massG * waits.line.times)}`
        : asks !== undefined
          ? 'Yes: looked'
          : turn
            ? `${turn.letter} poured`
            : doneWord(act);
  return (
    <>
      <main className="min-h-0 flex-1 overflow-y-auto px-4 py-3 sm:px-8">
        <div className="mx-auto grid max-w-[92rem] content-start gap-x-10 gap-y-3 bench:grid-cols-[minmax(0,1.15fr)_minmax(0,1fr)]">
          <div className="grid content-start gap-3">
            <Heading of={screen.id} over={over} badge={<Pots act={act} turn={turn} />}>
              {title}
            </Heading>
            <Amounts screen={screen} />
            {turn && <Turns act={act} turn={turn} />}
            {!done && <Window act={act} />}
            <p className="text-lg leading-snug">{words.text}</p>
            {words.caution !== undefined && <Caution>{words.caution}</Caution>}
            {waits && runs && <LyeWeight act={act} accepted={waits} />}
            {asks !== undefined && !done && (
              <p className="border-l-4 border-warning pl-3 text-lg leading-snug font-semibold">{asks}</p>
            )}
            <Pace act={act} />
          </div>
          <div className="grid content-start gap-3">
            <Stands act={act} done={done} />
            <Above act={act} />
            {!turn && <Jug act={act} />}
            <JugList act={act} />
            {!done && (
              <>
                <Cooling />
                <Timers />
                {runs && <Readings act={act} />}
                <Meanwhile act={act} onInstead={onInstead} />
              </>
            )}
            <Expected expected={live.expected.map((e) => e.says)} />
          </div>
        </div>
      </main>
      <Foot go={goes} onGo={goOn} onBack={onBack} then={<Then screen={screen} />}>
        {stands && <p>First: {titleOf(stands, plan)}</p>}
        {onNext && (
          <span className="flex flex-wrap justify-center gap-3">
            {runs && done && stays && <p>First take back: {titleOf(stays, plan)}</p>}
            {runs && done && !stays && (
              <Press
                onClick={() => {
                  const back = takenBack(screens, screen, state);
                  say([
                    ...back.done.map((id) => ({ does: 'done' as const, act: id })),
                    ...back.undone.map((id) => ({ does: 'undone' as const, act: id })),
                  ]);
                }}
              >
                Not done after all
              </Press>
            )}
            <Press tone="primary" onClick={onNext}>
              Forward
            </Press>
          </span>
        )}
      </Foot>
    </>
  );
}

/** What the day as it goes now is expected to break, told as soon as it is known. */
function Expected({ expected }: { readonly expected: readonly string[] }) {
  if (expected.length === 0) return null;
  return (
    <section aria-label="Expected as it goes now" className="border-l-4 border-warning bg-base-200 p-3">
      <p className="font-bold">As it goes now:</p>
      <ul className="grid gap-1 leading-snug">
        {expected.map((e) => (
          <li key={e}>{e}</li>
        ))}
      </ul>
    </section>
  );
}
