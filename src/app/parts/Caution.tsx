import { TriangleAlert } from 'lucide-react';
import type { ReactNode } from 'react';

/** A danger to people, where the danger is. */
export function Caution({ children }: { readonly children: ReactNode }) {
  return (
    <p className="flex gap-2 rounded-box border-2 border-error px-3 py-2 text-sm leading-snug font-semibold">
      <TriangleAlert aria-label="Caution" className="mt-0.5 size-4 shrink-0 text-error" />
      <span>{children}</span>
    </p>
  );
}
