import type { Mould } from '../../../core/mould/schema.ts';
import { STARTER_MOULDS } from '../../../core/mould/starterMoulds.ts';
import { useOwnMoulds } from './useOwnMoulds.ts';

interface MouldChoice {
  readonly moulds: readonly Mould[];
  readonly options: readonly { readonly value: string; readonly label: string }[];
}

/** One's own moulds, then the small library; values are places in the list. */
export function useMouldChoice(): MouldChoice {
  const own = useOwnMoulds().things.map((m) => m.value);
  const moulds = [...own, ...STARTER_MOULDS];
  return {
    moulds,
    options: moulds.map((m, i) => ({
      value: String(i),
      label: i < own.length ? `${m.name} (mine)` : m.name,
    })),
  };
}
