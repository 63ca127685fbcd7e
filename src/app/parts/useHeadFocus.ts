import { useEffect, useRef, type RefObject } from 'react';

/**
 * A page that opens has the focus at its head: what is read out and where Tab goes on begin there. It comes
 * once the page is laid out: before, the browser would have to lay out all of it for that.
 */
export function useHeadFocus(): RefObject<HTMLHeadingElement | null> {
  const head = useRef<HTMLHeadingElement>(null);
  useEffect(() => {
    let timer: ReturnType<typeof setTimeout> | undefined;
    const frame = requestAnimationFrame(() => {
      timer = setTimeout(() => {
        // what was begun meanwhile, a field that was pressed, keeps it
        if (document.activeElement === document.body || document.activeElement === null)
          head.current?.focus({ preventScroll: true });
      });
    });
    return () => {
      cancelAnimationFrame(frame);
      clearTimeout(timer);
    };
  }, []);
  return head;
}
