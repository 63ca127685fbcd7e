import { useEffect, useRef, type RefObject } from 'react';

/** A page that opens has the focus at its head: what is read out and where Tab goes on begin there. */
export function useHeadFocus(): RefObject<HTMLHeadingElement | null> {
  const head = useRef<HTMLHeadingElement>(null);
  useEffect(() => {
    // what was begun meanwhile, a field that was pressed, keeps it
    if (document.activeElement === document.body || document.activeElement === null)
      head.current?.focus({ preventScroll: true });
  }, []);
  return head;
}
