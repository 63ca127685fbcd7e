import type { ReactNode } from 'react';

interface FoldProps {
  readonly title: string;
  /** how it stands, told while it is closed */
  readonly state?: string;
  readonly children: ReactNode;
}

/** A part of a panel that is closed until it is wanted, and says how it stands. */
export const Fold = ({ title, state, children }: FoldProps) => (
  <details className="rule group border-t pt-2">
    <summary className="flex min-h-9 cursor-pointer items-baseline gap-2">
      <span className="w-3 text-xs transition-transform group-open:rotate-90" aria-hidden="true">
        ▶
      </span>
      <span className="font-semibold">{title}</span>
      {state !== undefined && <span className="quiet flex-1 truncate text-right text-sm">{state}</span>}
    </summary>
    <div className="grid grid-cols-[minmax(0,1fr)] gap-3 py-2">{children}</div>
  </details>
);
