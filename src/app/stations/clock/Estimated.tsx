import type { ReactNode } from 'react';
import { WordButton } from '../../kit/WordButton.tsx';

interface EstimatedProps {
  /** typed, and no estimate any more */
  readonly given: boolean;
  /** where the estimate comes from */
  readonly says: string;
  readonly onForget: () => void;
  readonly children: ReactNode;
}

/** A field that is estimated until a figure is given, and can be estimated again. */
export function Estimated({ given, says, onForget, children }: EstimatedProps) {
  return (
    <div className="grid content-start gap-0.5">
      {children}
      <p className="quiet text-xs">
        {given ? (
          <WordButton onClick={onForget}>given; estimate it again</WordButton>
        ) : (
          <em>≈ estimated {says}</em>
        )}
      </p>
    </div>
  );
}
