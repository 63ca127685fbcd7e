import type { Plan } from '../plan/planSchema.ts';
import type { Step } from '../plan/stepSchema.ts';
import type { PouredLayer } from './layers.ts';

/**
 * The first mould's design in another mould: every pour with the same share of it, at the same tilt. What was
 * put under the first would give another tilt here, so the angles alone are kept.
 */
export function followed(part: Plan, first: readonly PouredLayer[]): Plan {
  const volumes = new Map(first.map((l) => [l.pour.id, l.volumeMl] as const));
  const steps = part.steps.flatMap((s): Step[] => {
    if (s.kind === 'tilt') {
      const { props: _props, ...tilt } = s;
      return [tilt];
    }
    if (s.kind !== 'pour') return [s];
    const parts = volumes.get(s.id) ?? 0;
    // a pour that nothing is left for in the first mould is refused there
    return [{ ...s, amount: { kind: 'rest', parts: Math.max(parts, 1e-9) }, locked: true }];
  });
  return { ...part, steps };
}
