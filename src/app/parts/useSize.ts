import { useLayoutEffect, useRef, useState, type RefObject } from 'react';
import { flushSync } from 'react-dom';

interface Size {
  readonly width: number;
  readonly height: number;
}

/**
 * The inner size of an element in px, followed as it changes; 0 x 0 until the page is laid out, and drawn by
 * it before it is seen. Nothing is measured while the page is built: the browser would have to lay out all of
 * it for that.
 */
export function useSize<T extends HTMLElement>(): [RefObject<T | null>, Size] {
  const ref = useRef<T>(null);
  const [size, setSize] = useState<Size>({ width: 0, height: 0 });
  useLayoutEffect(() => {
    const element = ref.current;
    if (!element) return undefined;
    const observer = new ResizeObserver(() => {
      flushSync(() => {
        setSize({ width: element.clientWidth, height: element.clientHeight });
      });
    });
    observer.observe(element);
    return () => {
      observer.disconnect();
    };
  }, []);
  return [ref, size];
}
