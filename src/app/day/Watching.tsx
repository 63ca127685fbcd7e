import { Press } from './Press.tsx';
import { useDay } from './dayContext.ts';

/** Said where another tab runs the batch. */
export function Watching() {
  const { watches, takeOver, state } = useDay();
  if (!watches || state.ending) return null;
  return (
    <div
      role="status"
      className="no-print rule flex flex-wrap items-center gap-x-4 gap-y-2 border-b-2 border-warning bg-base-100 px-4 py-2"
    >
      <p className="min-w-48 flex-1">
        <strong>Another tab runs this batch.</strong> Here it is only watched.
      </p>
      <Press onClick={takeOver}>Go on here</Press>
    </div>
  );
}
