import type { Plan } from '../plan/planSchema.ts';
import type { BarCut } from './bars.ts';

/** "9 bars", or "9 bars a mould, 18 in all" where moulds are filled alike. */
export function barsText({ plan, cut }: { readonly plan: Plan; readonly cut: BarCut }): string {
  const { copies } = plan.fill;
  const bars = `${cut.count} ${cut.count === 1 ? 'bar' : 'bars'}`;
  return copies > 1 ? `${bars} a mould, ${cut.count * copies} in all` : bars;
}
