import { inAll } from '../plan/moulds.ts';
import type { BarCut } from './bars.ts';

interface Cut {
  readonly cut: BarCut;
  readonly use: { readonly copies: number };
}

/** Bars of all moulds of a batch. */
export const barsInAll = (moulds: readonly Cut[]): number => inAll(moulds, (m) => m.cut.count);

/** "9 bars", "9 bars a mould, 18 in all" where moulds are filled alike, or "15 bars from 7 moulds". */
export function barsText(moulds: readonly [Cut, ...Cut[]]): string {
  const [{ cut, use }] = moulds;
  const { copies } = use;
  if (moulds.length > 1) return `${barsInAll(moulds)} bars from ${inAll(moulds, () => 1)} moulds`;
  const bars = `${cut.count} ${cut.count === 1 ? 'bar' : 'bars'}`;
  return copies > 1 ? `${bars} a mould, ${cut.count * copies} in all` : bars;
}
