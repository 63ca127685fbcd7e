import type { ReactNode } from 'react';

interface FoldProps {
  readonly title: string;
  /** the figure that counts, told open or closed */
  readonly figure?: string | undefined;
  /** how it stands, told while it is closed */
  readonly state?: string | undefined;
  readonly children: ReactNode;
  /** where it is kept elsewhere whether it is open */
  readonly open?: boolean;
  readonly onMove?: (open: boolean) => void;
}

/** A part of a panel that is closed until it is wanted, and says how it stands. */
export const Fold = ({ title, figure, state, children, open, onMove }: FoldProps) => (
  <details
    className="rule group border-t pt-2"
    open={open}
    onToggle={(event) => onMove?.(event.currentTarget.open)}
  >
    <summary className="grid min-h-9 cursor-pointer grid-cols-[0.75rem_auto_minmax(0,1fr)] items-baseline gap-x-2">
      <span className="text-xs transition-transform group-open:rotate-90" aria-hidden="true">
        ▶
      </span>
      <span className="font-semibold">{title}</span>
      {figure === undefined ? (
        <span className="quiet truncate text-right text-sm">{state}</span>
      ) : (
        <>
          <span className="text-right text-lg font-bold">{figure}</span>
          <span className="quiet col-span-2 col-start-2 pb-1 text-sm group-open:hidden">{state}</span>
        </>
      )}
    </summary>
    <div className="grid grid-cols-[minmax(0,1fr)] gap-3 py-2">{children}</div>
  </details>
);
