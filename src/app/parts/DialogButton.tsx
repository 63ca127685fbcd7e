import { useId, useRef, type ReactNode } from 'react';

interface DialogButtonProps {
  /** what the button is called and says when it is pointed at */
  readonly label: string;
  readonly icon: ReactNode;
  readonly title: string;
  readonly children: ReactNode;
}

/** A button in the head that opens a dialog over the page, closed by Done or Esc. */
export function DialogButton({ label, icon, title, children }: DialogButtonProps) {
  const dialog = useRef<HTMLDialogElement>(null);
  const id = useId();
  return (
    <>
      <button
        type="button"
        className="btn btn-ghost btn-sm"
        onClick={() => dialog.current?.showModal()}
        aria-label={label}
        title={label}
      >
        {icon}
      </button>
      <dialog ref={dialog} className="modal" aria-labelledby={id}>
        <div className="modal-box grid gap-4 bg-base-100">
          <h2 id={id} className="text-xl">
            {title}
          </h2>
          {children}
          <form method="dialog">
            <button type="submit" className="btn btn-primary">
              Done
            </button>
          </form>
        </div>
      </dialog>
    </>
  );
}
