import { useEffect, useRef } from 'react';
import { alarm } from './hear.ts';

/** Is heard once when something comes to be so; what is so from the first was seen already. */
export function useAlarm(is: string | undefined, words: string): void {
  const before = useRef(is);
  useEffect(() => {
    if (is !== undefined && is !== before.current) alarm(words);
    before.current = is;
  }, [is, words]);
}
