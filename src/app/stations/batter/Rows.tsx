import { X } from 'lucide-react';
import type { ReactNode } from 'react';

interface RowsProps<T> {
  readonly items: readonly T[];
  readonly idOf: (item: T) => string;
  readonly nameOf: (item: T) => string;
  readonly onRemove: (id: string) => void;
  readonly empty: string;
  readonly children: (item: T) => ReactNode;
}

/** Ruled rows of fields, each with a way out. */
export function Rows<T>({ items, idOf, nameOf, onRemove, empty, children }: RowsProps<T>) {
  if (items.length === 0) return <p className="quiet text-sm">{empty}</p>;
  return (
    <ul className="grid gap-2">
      {items.map((item) => (
        <li key={idOf(item)} className="flex flex-wrap items-end gap-2">
          {children(item)}
          <button
            type="button"
            className="btn btn-ghost btn-sm mb-0.5 px-1.5"
            aria-label={`Remove ${nameOf(item)}`}
            onClick={() => {
              onRemove(idOf(item));
            }}
          >
            <X className="size-4" aria-hidden="true" />
          </button>
        </li>
      ))}
    </ul>
  );
}
