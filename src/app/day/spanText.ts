import type { Minutes } from '../../core/units/quantity.ts';

/** A length of time that runs: "5 min 10 s", "40 s", "1 h 05 min". */
export function spanText(minutes: Minutes): string {
  const seconds = Math.max(0, Math.round(minutes * 60));
  if (seconds < 60) return `${seconds} s`;
  const min = Math.floor(seconds / 60);
  if (min < 20) return `${min} min ${String(seconds % 60).padStart(2, '0')} s`;
  if (min < 60) return `${min} min`;
  return `${Math.floor(min / 60)} h ${String(min % 60).padStart(2, '0')} min`;
}
