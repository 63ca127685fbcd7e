import { useEffect } from 'react';
import { inOrder } from '../../core/batch/book.ts';
import { beat, pulseEnded } from '../../store/pulse.ts';
import { now } from '../../store/when.ts';
import { useDay } from './dayContext.ts';

/** So often it is noted that this page was there, ms. */
const EVERY_MS = 10_000;

/** Notes that this page is there while it runs a batch: nothing is seen of it. */
export function Pulse() {
  const { batch, state, runs } = useDay();
  const last = inOrder(batch).at(-1)?.id ?? '';
  const over = state.ending !== undefined;
  useEffect(() => {
    if (over) pulseEnded(batch.id);
    if (over || !runs) return undefined;
    const note = (): void => {
      beat(batch.id, last, now());
    };
    note();
    const timer = setInterval(note, EVERY_MS);
    addEventListener('pagehide', note);
    return () => {
      clearInterval(timer);
      removeEventListener('pagehide', note);
    };
  }, [batch.id, last, over, runs]);
  return null;
}
