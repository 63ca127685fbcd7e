import { useLayoutEffect, useRef, useState, type RefObject } from 'react';

interface Size {
  readonly width: number;
  readonly height: number;
}

/** The inner size of an element in px, followed as it changes; 0 x 0 before the first measure. */
export function useSize<T extends HTMLElement>(): [RefObject<T | null>, Size] {
  const ref = useRef<T>(null);
  const [size, setSize] = useState<Size>({ width: 0, height: 0 });
  useLayoutEffect(() => {
    const element = ref.current;
    if (!element) return undefined;
    const measure = (): void => {
      setSize({ width: element.clientWidth, height: element.clientHeight });
    };
    const observer = new ResizeObserver(measure);
    observer.observe(element);
    measure();
    return () => {
      observer.disconnect();
    };
  }, []);
  return [ref, size];
}
