import { useLayoutEffect, useRef, type RefObject } from 'react';
import { useLocation } from 'react-router';

/** How far each station of each plan was scrolled when it was last left. */
const left = new Map<string, number>();

/** A station opens at its top, or where it was left; it does not take over how far another was scrolled. */
export function usePanelScroll(): RefObject<HTMLElement | null> {
  const panel = useRef<HTMLElement>(null);
  const { pathname } = useLocation();
  const now = useRef(0);
  useLayoutEffect(() => {
    const element = panel.current;
    if (!element) return undefined;
    const to = left.get(pathname) ?? 0;
    // asked for only where it changes: the browser then lays out all of the station at once
    if (to !== now.current) element.scrollTop = to;
    const keep = (): void => {
      now.current = element.scrollTop;
      left.set(pathname, now.current);
    };
    element.addEventListener('scroll', keep, { passive: true });
    return () => {
      element.removeEventListener('scroll', keep);
    };
  }, [pathname]);
  return panel;
}
