import type { ReactNode } from 'react';

/** A table that may be wider than a small screen: it is moved sideways by itself, by keyboard too. */
export function WideTable({ label, children }: { readonly label: string; readonly children: ReactNode }) {
  return (
    <div role="region" aria-label={label} tabIndex={0} className="relative overflow-x-auto">
      {children}
    </div>
  );
}
