import { useId } from 'react';
import type { Nature } from '../../core/colorant/schema.ts';

/**
 * A drop of this colorant running out into plain soap: full colour below, its pale bar or the soap itself
 * above.
 */
export function ColourDrop({ nature }: { readonly nature: Nature }) {
  const id = useId();
  return (
    <svg width="34" height="46" viewBox="0 0 34 46" className="shrink-0" aria-hidden="true">
      <defs>
        <linearGradient id={id} x1="0" y1="0" x2="0" y2="1">
          <stop offset="0.05" stopColor={nature.base} />
          <stop offset="0.4" stopColor={nature.pale?.colour ?? nature.base} />
          <stop offset="0.72" stopColor={nature.colour} />
        </linearGradient>
      </defs>
      <path
        d="M17 1C17.5 16 31 20 31 31a14 14 0 0 1-28 0C3 20 16.500 16 17 1Z"
        fill={`url(#${id})`}
        stroke="#00000055"
      />
    </svg>
  );
}
