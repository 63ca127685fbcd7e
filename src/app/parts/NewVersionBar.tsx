import { takeNewVersion } from '../../store/newVersion.ts';
import { useAppSelector } from '../../store/store.ts';
import { Button } from '../kit/Button.tsx';

/** A newer Drip Line is there: it waits until the maker likes. */
export function NewVersionBar() {
  const ready = useAppSelector((s) => s.newVersion);
  if (!ready) return null;
  return (
    <p
      role="status"
      className="no-print rule flex flex-wrap items-center gap-3 border-b bg-base-100 px-5 py-1.5 text-sm"
    >
      A new version of Drip Line is ready: reload when you like.
      <Button
        size="tiny"
        onClick={() =>
          void import('../../store/keeping/keep.ts').then(({ keeper }) => keeper.flush()).then(takeNewVersion)
        }
      >
        Reload
      </Button>
    </p>
  );
}
