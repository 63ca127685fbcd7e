import { TriangleAlert } from 'lucide-react';
import { askedAgain } from '../../store/keeping/keepingSlice.ts';
import { TROUBLE_WORDS } from '../../store/keeping/trouble.ts';
import { useAppDispatch, useAppSelector } from '../../store/store.ts';
import { Button } from '../kit/Button.tsx';

const names = (list: readonly string[]): string => list.map((n) => `“${n}”`).join(', ');

/** Over every page while storage refuses: what is not stored, why, and what can be done. */
export function StorageBar() {
  const dispatch = useAppDispatch();
  const { trouble, works } = useAppSelector((s) => s.keeping);
  const library = useAppSelector((s) => s.library);
  const open = useAppSelector((s) => s.plan.present);
  const plans = Object.entries(works)
    .filter(([, w]) => w.trouble !== null)
    .map(([id, w]) => w.left?.name ?? (open?.id === id ? open.name : id));
  const things = Object.values(library).filter((p) => p.trouble !== null);
  if (trouble === null && plans.length === 0 && things.length === 0) return null;
  const unstored = [...plans, ...new Set(things.map((t) => t.key))];
  const again = async (): Promise<void> => {
    const [{ keeper }, { libraryAgain }, { bookKeeper }] = await Promise.all([
      import('../../store/keeping/keep.ts'),
      import('../../store/keeping/library.ts'),
      import('../../store/keeping/books.ts'),
    ]);
    await Promise.all([keeper.flush(), libraryAgain(), bookKeeper.flush()]);
    dispatch(askedAgain());
  };
  const exportAll = async (): Promise<void> => {
    (await import('./exportUnstored.ts')).exportUnstored();
  };
  return (
    <div
      role="alert"
      className="no-print flex flex-wrap items-center gap-x-4 gap-y-2 border-b-2 border-error bg-base-100 px-5 py-2"
    >
      <TriangleAlert className="size-5 shrink-0 text-error" aria-hidden="true" />
      <p className="min-w-60 flex-1 leading-snug">
        {unstored.length > 0 ? (
          <strong>Not stored, and lost when this tab is closed: {names(unstored)}. </strong>
        ) : (
          <strong>Storage cannot be used. </strong>
        )}
        {trouble !== null && TROUBLE_WORDS[trouble]}
      </p>
      {unstored.length > 0 && (
        <Button tone="primary" onClick={() => void exportAll()}>
          Export what is not stored
        </Button>
      )}
      {trouble === 'replaced' || trouble === 'newer' ? (
        <Button onClick={() => location.reload()}>Reload</Button>
      ) : (
        <Button onClick={() => void again()}>Try again</Button>
      )}
    </div>
  );
}
