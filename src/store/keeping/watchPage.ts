import { bookKeeper } from './books.ts';
import { keeper } from './keep.ts';
import { writeTyped } from '../writeDown.ts';
import { store } from '../store.ts';
import { stayAlive } from '../page.ts';

/**
 * Store what is unstored whenever the page may be about to go away, and ask before closing where that would
 * lose something.
 */
export function watchPage(): void {
  void stayAlive();
  document.addEventListener('visibilitychange', () => {
    if (document.visibilityState !== 'hidden') return;
    writeTyped();
    void keeper.flush();
  });
  addEventListener('beforeprint', () => void keeper.flush());
  const leave = (): void => {
    writeTyped();
    bookKeeper.leave();
    keeper.leaveDrafts();
  };
  addEventListener('pagehide', () => {
    leave();
  });
  addEventListener('beforeunload', (event) => {
    leave();
    const library = Object.values(store.getState().library).some((p) => p.trouble !== null);
    if (keeper.wouldLose || library) event.preventDefault();
  });
}
