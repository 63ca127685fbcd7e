import { useLayoutEffect, useRef, type RefObject } from 'react';
import { useLocation } from 'react-router';

/** How far each station of each plan was scrolled when it was last left. */
const left = new Map<string, number>();

/** A station opens at its top, or where it was left; it does not take over how far another was scrolled. */
export function usePanelScroll(): RefObject<HTMLElement | null> {
  const panel = useRef<HTMLElement>(null);
  const { pathname } = useLocation();
  useLayoutEffect(() => {
    const element = panel.current;
    if (!element) return undefined;
    element.scrollTop = left.get(pathname) ?? 0;
    const keep = (): void => {
      left.set(pathname, element.scrollTop);
    };
    element.addEventListener('scroll', keep, { passive: true });
    return () => {
      element.removeEventListener('scroll', keep);
    };
  }, [pathname]);
  return panel;
}
