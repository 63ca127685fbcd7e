import { useState } from 'react';
import { beginsClock } from '../../core/making/divided.ts';
import { layingOut } from '../../core/making/laidOut.ts';
import { isDone } from '../../core/making/screens.ts';
import { ActScreen } from './ActScreen.tsx';
import { AllDone } from './AllDone.tsx';
import { Divide } from './Divide.tsx';
import { useDay } from './dayContext.ts';
import { ReadyList } from './ReadyList.tsx';

/** What is to be done now: made ready, divided, one act, or ended. Looking back changes nothing. */
export function DayPage() {
  const { batch, state, next, screens, acts, ready } = useDay();
  const { size } = state.done;
  // what is done or taken back, here or in another tab, leads on
  const stand = batch.events.filter((e) => e.does === 'done' || e.does === 'undone').length;
  const [chosen, choose] = useState<{ readonly id: string; readonly stand: number }>();
  const setChosen = (id: string | undefined): void => choose(id === undefined ? undefined : { id, stand });
  const laid = layingOut(state.plan, ready, acts).every((r) => state.ready.has(r.id));
  if (!laid && size === 0) return <ReadyList />;
  const other = chosen?.stand === stand ? screens.find((s) => s.id === chosen.id) : undefined;
  const here = other ?? next;
  const looked = other !== undefined && isDone(other, state);
  const at = here ? screens.indexOf(here) : screens.length;
  const show = (place: number): void => {
    const to = screens[place];
    setChosen(to === next ? undefined : to?.id);
  };
  const back = other && !looked ? () => setChosen(undefined) : at > 0 ? () => show(at - 1) : undefined;
  if (state.ending || !here) return <AllDone onBack={state.ending ? undefined : back} />;
  if (!looked && beginsClock(acts, state, here.act.id)) return <Divide onBack={back} />;
  return (
    <ActScreen
      key={here.id}
      screen={here}
      onBack={back}
      onNext={looked ? () => show(at + 1) : undefined}
      onInstead={(act) => setChosen(screens.find((s) => s.act.id === act.id && !isDone(s, state))?.id)}
    />
  );
}
