import { useEffect, useState } from 'react';
import { flushSync } from 'react-dom';

/** Whether the page has been put on paper, or is about to be: then everything on it is drawn. */
export function usePrinted(): boolean {
  const [printed, setPrinted] = useState(false);
  useEffect(() => {
    const printing = (): void => {
      flushSync(() => {
        setPrinted(true);
      });
    };
    addEventListener('beforeprint', printing);
    return () => {
      removeEventListener('beforeprint', printing);
    };
  }, []);
  return printed;
}
