import { useEffect, useState } from 'react';

/**
 * The screen is kept awake while a batch is run, where the browser can do that. False: it cannot, or does not
 * now; then the device has to be told itself.
 */
export function useAwake(wanted: boolean): boolean {
  const [awake, setAwake] = useState(false);
  useEffect(() => {
    const lock = (navigator as { wakeLock?: WakeLock }).wakeLock;
    if (!lock || !wanted) return undefined;
    let held: WakeLockSentinel | undefined;
    let gone = false;
    const ask = (): void => {
      if (document.visibilityState !== 'visible') return;
      lock.request('screen').then(
        (sentinel) => {
          if (gone) {
            void sentinel.release();
            return;
          }
          held = sentinel;
          setAwake(true);
          sentinel.addEventListener('release', () => setAwake(false));
        },
        () => setAwake(false),
      );
    };
    ask();
    document.addEventListener('visibilitychange', ask);
    return () => {
      gone = true;
      document.removeEventListener('visibilitychange', ask);
      void held?.release();
    };
  }, [wanted]);
  return awake;
}
