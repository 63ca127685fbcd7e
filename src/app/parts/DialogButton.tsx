import { useEffect, useId, useRef, useState, type ReactNode } from 'react';
import { Button } from '../kit/Button.tsx';

interface DialogButtonProps {
  /** what the button is called and says when it is pointed at */
  readonly label: string;
  readonly icon: ReactNode;
  readonly title: string;
  readonly children: ReactNode;
}

/**
 * A button in the head that opens a dialog over the page, closed by Done or Esc. What is in it is there only
 * while it is open.
 */
export function DialogButton({ label, icon, title, children }: DialogButtonProps) {
  const dialog = useRef<HTMLDialogElement>(null);
  const id = useId();
  const [open, setOpen] = useState(false);
  useEffect(() => {
    if (open) dialog.current?.showModal();
  }, [open]);
  return (
    <>
      <Button tone="quiet" onClick={() => setOpen(true)} aria-label={label} title={label}>
        {icon}
      </Button>
      {open && (
        <dialog ref={dialog} className="modal" aria-labelledby={id} onClose={() => setOpen(false)}>
          <div className="modal-box grid gap-4 bg-base-100">
            <h2 id={id} className="text-xl">
              {title}
            </h2>
            {children}
            <form method="dialog">
              <Button tone="primary" size="full" type="submit">
                Done
              </Button>
            </form>
          </div>
        </dialog>
      )}
    </>
  );
}
