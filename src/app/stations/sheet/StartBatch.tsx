import { Play } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { demandsOf } from '../../../core/making/demands.ts';
import { startBatch } from '../../../store/day.ts';
import { store } from '../../../store/store.ts';
import { Button } from '../../kit/Button.tsx';
import { useComputed } from '../../parts/usePlan.ts';

/**
 * Pour day begins: with what there is to be warned of said first. Of a plan that is refused none can begin.
 */
export function StartBatch() {
  const computed = useComputed();
  const navigate = useNavigate();
  const dialog = useRef<HTMLDialogElement>(null);
  const [open, setOpen] = useState(false);
  const [busy, setBusy] = useState(false);
  useEffect(() => {
    if (open) dialog.current?.showModal();
  }, [open]);
  const warns = computed.warnings.filter((w) => w.level === 'warn').map((w) => w.message);
  const told = [...warns, ...demandsOf(computed, new Date())];
  const start = async (): Promise<void> => {
    const { present } = store.getState().plan;
    if (!present || busy) return;
    setBusy(true);
    try {
      await navigate(`/batch/${await startBatch(present)}`);
    } finally {
      setBusy(false);
    }
  };
  if (!computed.weights) return null;
  return (
    <>
      <Button
        icon={Play}
        tone="accent"
        size="full"
        className="justify-self-start"
        disabled={busy}
        onClick={() => (told.length > 0 ? setOpen(true) : void start())}
      >
        Start a batch
      </Button>
      {open && (
        <dialog ref={dialog} className="modal" aria-labelledby="start-batch" onClose={() => setOpen(false)}>
          <div className="modal-box grid gap-4 bg-base-100">
            <h2 id="start-batch" className="text-xl">
              Before it begins
            </h2>
            <ul className="grid gap-2 leading-snug">
              {told.map((t) => (
                <li key={t} className="border-l-4 border-warning pl-3">
                  {t}
                </li>
              ))}
            </ul>
            <form method="dialog" className="flex flex-wrap gap-2">
              <Button tone="accent" size="full" type="submit" onClick={() => void start()}>
                Start it all the same
              </Button>
              <Button size="full" type="submit">
                Not yet
              </Button>
            </form>
          </div>
        </dialog>
      )}
    </>
  );
}
