import { useEffect, useState, type RefObject } from 'react';
import { useMedia } from '../parts/useMedia.ts';

/** Held in the hand, upright or lying: what is round the work goes away while one reads on. */
const HELD = '(max-width: 39.99rem), (max-height: 30rem) and (max-width: 61.99rem)';

/** px to scroll before anything goes or comes: a thumb trembles */
const DOWN = 48;
const UP = 24;

/**
 * A panel with less to read on, of the window’s height, stays as it is: there would be nothing left to
 * scroll.
 */
const WORTH = 0.5;

/** As long as a panel settles in its new height, what it scrolls by itself is no wish, ms. */
const SETTLES_MS = 300;

/** Whether a panel is being read on, on a small screen: down it goes on, up it comes back. */
export function useAway(panel: RefObject<HTMLElement | null>): boolean {
  const held = useMedia(HELD);
  const [away, setAway] = useState(false);
  useEffect(() => {
    const element = panel.current;
    if (!held || !element) return undefined;
    let gone = false;
    /** where it was last scrolled the other way */
    let turned = element.scrollTop;
    let still = 0;
    const scrolled = (event: Event): void => {
      const at = element.scrollTop;
      if (event.timeStamp < still) {
        turned = at;
        return;
      }
      turned = gone ? Math.max(turned, at) : Math.min(turned, at);
      const long = element.scrollHeight - element.clientHeight > innerHeight * WORTH;
      const now = gone ? at > UP && turned - at < UP : long && at > DOWN && at - turned > DOWN;
      if (now === gone) return;
      gone = now;
      still = event.timeStamp + SETTLES_MS;
      turned = at;
      setAway(now);
    };
    element.addEventListener('scroll', scrolled, { passive: true });
    return () => {
      element.removeEventListener('scroll', scrolled);
      setAway(false);
    };
  }, [panel, held]);
  return held && away;
}
