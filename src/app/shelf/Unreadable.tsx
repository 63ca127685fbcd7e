import type { ReactNode } from 'react';

/** A shelf that cannot be read now is not an empty one. */
export function Unreadable({ children }: { readonly children: ReactNode }) {
  return (
    <div className="mx-auto grid max-w-lg content-center justify-items-start gap-4 p-8">
      <h2 className="text-2xl">The shelf cannot be read now</h2>
      <p>
        What stands on it is not lost by that: it is shown as soon as storage answers. A plan can be begun
        meanwhile; it stays in this tab and is stored as soon as that is possible. Export it before you close
        the tab if it is not.
      </p>
      {children}
    </div>
  );
}
