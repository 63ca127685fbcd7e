import type { Act } from '../../core/procedure/act.ts';
import { FromAboveDrawing } from '../parts/FromAboveDrawing.tsx';

const SIZE = { wide: 240, high: 260 } as const;

/** Ways of a stick on the top, lines and places that are poured into. */
export function Above({ act: { deed } }: { readonly act: Act }) {
  const above = deed.does === 'stroke' ? deed.above : deed.does === 'pour' ? deed.pattern?.above : undefined;
  return above ? <FromAboveDrawing above={above} size={SIZE} /> : null;
}
