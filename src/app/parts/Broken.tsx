import { isRouteErrorResponse, Link, useRouteError } from 'react-router';
import { Button } from '../kit/Button.tsx';

const reason = (error: unknown): string => {
  if (isRouteErrorResponse(error)) return `${error.status} ${error.statusText}`;
  return error instanceof Error ? error.message : '';
};

/** Shown for an address that leads nowhere, and when a view fails. Stored plans are not touched by it. */
export function Broken() {
  const error = useRouteError();
  return (
    <main className="mx-auto grid max-w-xl gap-4 p-10">
      <h1 className="text-2xl">
        {error ? 'This view could not be shown' : 'There is nothing at this address'}
      </h1>
      <p>Your plans are safe on the shelf. {reason(error)}</p>
      <p className="flex gap-3">
        <Link className="btn btn-primary" to="/">
          To the shelf
        </Link>
        <Button size="full" onClick={() => location.reload()}>
          Try again
        </Button>
      </p>
    </main>
  );
}
