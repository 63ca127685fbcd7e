import type { ReactNode } from 'react';
import { ErrorBoundary, type FallbackProps } from 'react-error-boundary';
import { undone } from '../../store/planSlice.ts';
import { useAppDispatch, useAppSelector } from '../../store/store.ts';
import { Button } from '../kit/Button.tsx';

interface BoundaryProps {
  /** what stands here, as the maker would call it: "This station" */
  readonly what: string;
  /** a change of any of these tries again */
  readonly of: readonly unknown[];
  readonly children: ReactNode;
}

const messageOf = (error: unknown): string => (error instanceof Error ? error.message : String(error));

/** What cannot be shown fails alone: what stands round it goes on, and there is a way on from here. */
export function Boundary({ what, of, children }: BoundaryProps) {
  return (
    <ErrorBoundary resetKeys={[...of]} FallbackComponent={(props) => <Failed what={what} {...props} />}>
      {children}
    </ErrorBoundary>
  );
}

function Failed({ what, error, resetErrorBoundary }: FallbackProps & { readonly what: string }) {
  const dispatch = useAppDispatch();
  const back = useAppSelector((s) => s.plan.past.length > 0);
  return (
    <div role="alert" className="m-4 grid content-start gap-3 border-l-4 border-error bg-base-100 p-4">
      <p className="font-bold">{what} cannot be shown.</p>
      <p className="text-sm">
        Nothing of the plan is lost by it; the other stations work on. What went wrong: {messageOf(error)}
      </p>
      <p className="flex flex-wrap gap-2">
        <Button tone="primary" onClick={resetErrorBoundary}>
          Try again
        </Button>
        {back && (
          <Button
            onClick={() => {
              dispatch(undone());
              resetErrorBoundary();
            }}
          >
            Undo the last change
          </Button>
        )}
      </p>
    </div>
  );
}
