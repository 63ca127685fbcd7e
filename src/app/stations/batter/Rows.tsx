import { X } from 'lucide-react';
import type { ReactNode } from 'react';
import { IconButton } from '../../kit/IconButton.tsx';

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
          <IconButton
            icon={X}
            className="mb-0.5"
            label={`Remove ${nameOf(item)}`}
            onClick={() => onRemove(idOf(item))}
          />
        </li>
      ))}
    </ul>
  );
}
