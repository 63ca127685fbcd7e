import { useEffect, useRef, type MouseEvent, type ReactNode } from 'react';
import { Press } from './Press.tsx';

/** Touches that come sooner after the last are wet glass, ms. */
const WET_MS = 300;

interface FootProps {
  /** what going on is called here; absent: it cannot be gone on from here */
  readonly go: string | undefined;
  readonly onGo: () => void;
  readonly onBack: (() => void) | undefined;
  /** what comes next: stands under what goes on */
  readonly then?: ReactNode;
  readonly children?: ReactNode;
}

/** What has a use of its own for Space and Enter keeps them. */
const KEEPS = 'button, input, select, textarea, summary, a[href], dialog';

/** The lower third goes on, by hand, Space or Enter; back, by Backspace, only looks. */
export function Foot({ go, onGo, onBack, then, children }: FootProps) {
  const last = useRef(-Infinity);
  const touched = ({ timeStamp, detail }: MouseEvent): void => {
    // a press by key is no touch
    if (detail > 0 && timeStamp - last.current < WET_MS) return;
    last.current = timeStamp;
    onGo();
  };
  useEffect(() => {
    const pressed = (event: KeyboardEvent): void => {
      const on = event.target instanceof Element ? event.target.closest(KEEPS) : null;
      if (on !== null || event.repeat || event.altKey || event.ctrlKey || event.metaKey) return;
      if (event.key === 'Backspace' && onBack) {
        event.preventDefault();
        onBack();
      }
      if ((event.key === ' ' || event.key === 'Enter') && go !== undefined) {
        event.preventDefault();
        onGo();
      }
    };
    addEventListener('keydown', pressed);
    return () => {
      removeEventListener('keydown', pressed);
    };
  });
  return (
    <footer className="no-print grid min-h-[33dvh] shrink-0 grid-cols-[minmax(5rem,1fr)_3fr] gap-3 p-3">
      <Press className="h-full text-lg" disabled={!onBack} onClick={onBack}>
        Back
      </Press>
      {go === undefined ? (
        <div className="grid place-content-center justify-items-center gap-3 text-center">{children}</div>
      ) : (
        <Press tone="primary" className="grid h-full content-center gap-3 text-3xl" onClick={touched}>
          <span>{go}</span>
          {then}
        </Press>
      )}
    </footer>
  );
}
