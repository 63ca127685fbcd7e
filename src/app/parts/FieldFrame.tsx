import type { ReactNode } from 'react';
import { WordButton } from '../kit/WordButton.tsx';

interface FieldFrameProps {
  /** id of the control inside */
  readonly id: string;
  readonly label: string;
  readonly hideLabel?: boolean | undefined;
  readonly className?: string | undefined;
  /** why what was typed is refused */
  readonly fault?: string | null;
  readonly hint?: string | undefined;
  /** what was typed was taken back: brings it again */
  readonly bringBack?: (() => void) | undefined;
  readonly children: ReactNode;
}

/** What stands round every field: its label above, its fault or hint below (which has the id `${id}-say`). */
export function FieldFrame({
  id,
  label,
  hideLabel,
  className,
  fault = null,
  hint,
  bringBack,
  children,
}: FieldFrameProps) {
  return (
    <div className={`grid gap-0.5 ${className ?? ''}`}>
      <label htmlFor={id} className={hideLabel ? 'sr-only' : 'quiet text-sm'}>
        {label}
      </label>
      {children}
      {(fault !== null || hint) && (
        <p
          id={`${id}-say`}
          role={fault === null ? undefined : 'alert'}
          className={`text-sm ${fault === null ? 'quiet' : 'text-error'}`}
        >
          {fault ?? hint}
        </p>
      )}
      {bringBack && (
        <p role="status" className="quiet text-sm">
          What was typed is taken back. <WordButton onClick={bringBack}>Bring it back</WordButton>
        </p>
      )}
    </div>
  );
}
