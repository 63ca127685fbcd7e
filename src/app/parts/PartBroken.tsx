import { useRouteError } from 'react-router';
import { Button } from '../kit/Button.tsx';

/** Stands where a part of a page failed as it was shown. What stands round it goes on. */
export function PartBroken() {
  return <PartFailed error={useRouteError()} />;
}

/** Stands where a part of a page could not be loaded, or failed. */
export function PartFailed({ error }: { readonly error: unknown }) {
  return (
    <div role="alert" className="m-4 grid content-start gap-3 border-l-4 border-error bg-base-100 p-4">
      <p className="font-bold">This part could not be loaded or shown.</p>
      <p className="text-sm">
        Nothing you made is lost by it; the other parts work on. What went wrong:{' '}
        {error instanceof Error ? error.message : String(error)}
      </p>
      <Button tone="primary" className="justify-self-start" onClick={() => location.reload()}>
        Load it again
      </Button>
    </div>
  );
}
