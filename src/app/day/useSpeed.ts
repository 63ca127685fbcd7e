import { useLayoutEffect } from 'react';

/** A mark in the browser's own measure of when an act stood on the screen: what the bench reads. */
export function useSpeed(screen: string): void {
  useLayoutEffect(() => {
    performance.mark('drip-line act', { detail: screen });
  }, [screen]);
}
