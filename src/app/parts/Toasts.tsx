import { useEffect } from 'react';
import { useAppDispatch, useAppSelector } from '../../store/store.ts';
import { toastGone, type Toast } from '../../store/toastSlice.ts';
import { Button } from '../kit/Button.tsx';

/** How long a message stays, ms; one of trouble, or with something to undo, stays longer. */
const STAY_MS = { plain: 6000, long: 15000 };

function ToastCard({ toast }: { readonly toast: Toast }) {
  const dispatch = useAppDispatch();
  const { restore } = toast;
  const long = restore !== undefined || toast.tone === 'trouble';
  useEffect(() => {
    const timer = setTimeout(() => dispatch(toastGone(toast.id)), long ? STAY_MS.long : STAY_MS.plain);
    return () => {
      clearTimeout(timer);
    };
  }, [dispatch, toast.id, long]);
  return (
    <li
      className={`flex max-w-md items-center gap-4 rounded-box bg-neutral px-4 py-3 text-neutral-content shadow-lg ${toast.tone === 'trouble' ? 'border-l-8 border-error' : ''}`}
    >
      <span className="whitespace-pre-line">{toast.text}</span>
      {restore && (
        <Button
          onClick={() => {
            dispatch(toastGone(toast.id));
            void import('../../store/keeping/newPlans.ts').then(({ putBack }) => putBack(restore));
          }}
        >
          Undo
        </Button>
      )}
      <button
        type="button"
        className="cursor-pointer px-1 text-lg leading-none"
        aria-label="Dismiss"
        onClick={() => dispatch(toastGone(toast.id))}
      >
        ×
      </button>
    </li>
  );
}

/** Short messages at the foot of the window, read out by screen readers. */
export function Toasts() {
  const toasts = useAppSelector((s) => s.toasts);
  return (
    <ul aria-live="polite" className="no-print fixed bottom-5 left-1/2 z-50 grid -translate-x-1/2 gap-2">
      {toasts.map((t) => (
        <ToastCard key={t.id} toast={t} />
      ))}
    </ul>
  );
}
