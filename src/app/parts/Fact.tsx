import type { ReactNode } from 'react';

export type Origin = 'given' | 'computed' | 'estimated';

interface FactProps {
  readonly name: string;
  readonly children: ReactNode;
  /** where the figure came from; estimates are marked ≈ and set lighter */
  readonly origin?: Origin;
  readonly strong?: boolean;
}

/** A figure with its name, on one ruled line. */
export function Fact({ name, children, origin = 'computed', strong }: FactProps) {
  return (
    <div className="rule flex items-baseline justify-between gap-3 border-b py-1.5">
      <dt className="quiet text-sm">{name}</dt>
      <dd
        className={`text-right whitespace-nowrap ${strong ? 'text-lg font-bold' : ''} ${origin === 'estimated' ? 'italic' : ''}`}
        title={origin}
      >
        {origin === 'estimated' && <span aria-label="about">≈ </span>}
        {children}
      </dd>
    </div>
  );
}
