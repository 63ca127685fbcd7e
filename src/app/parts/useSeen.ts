import { useEffect, useState, type RefObject } from 'react';

/** Nearly on the screen counts as seen, px. */
const NEARLY = 160;

/**
 * Whether something has come onto the screen yet, or nearly: what is never looked at need not be worked out.
 */
export function useSeen(ref: RefObject<Element | null>): boolean {
  const [seen, setSeen] = useState(false);
  useEffect(() => {
    const element = ref.current;
    if (!element || seen) return;
    const observer = new IntersectionObserver(
      (entries) => {
        if (entries.some((e) => e.isIntersecting)) setSeen(true);
      },
      { rootMargin: `${NEARLY}px` },
    );
    observer.observe(element);
    return () => {
      observer.disconnect();
    };
  }, [ref, seen]);
  return seen;
}
