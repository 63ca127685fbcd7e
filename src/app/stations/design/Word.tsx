import type { ReactNode } from 'react';

interface WordProps {
  readonly open: boolean;
  readonly onMove: (open: boolean) => void;
  readonly label?: string;
  readonly children: ReactNode;
}

/** An emphasised word of a card's sentence that opens what is said about it, below. */
export const Word = ({ open, onMove, label, children }: WordProps) => (
  <button
    type="button"
    className="word"
    aria-expanded={open}
    aria-label={label}
    onClick={() => onMove(!open)}
  >
    {children}
  </button>
);
