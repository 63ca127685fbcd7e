import { X } from 'lucide-react';
import type { ReactNode } from 'react';
import { IconButton } from '../../kit/IconButton.tsx';

interface AdditionCardsProps<T> {
  readonly items: readonly T[];
  readonly nameOf: (item: T) => string;
  readonly onRemove: (id: string) => void;
  readonly empty: string;
  /** what it is */
  readonly head: (item: T) => ReactNode;
  /** what goes where, and when */
  readonly body: (item: T) => ReactNode;
}

/** One card for each thing that is stirred in, with a way out of the recipe. */
export function AdditionCards<T extends { readonly id: string }>(props: AdditionCardsProps<T>) {
  const { items, nameOf, onRemove, empty, head, body } = props;
  if (items.length === 0) return <p className="quiet text-sm">{empty}</p>;
  return (
    <ul className="grid grid-cols-[minmax(0,1fr)] gap-3">
      {items.map((item) => (
        <li key={item.id} className="rule grid gap-2 border-b pb-3" aria-label={nameOf(item)}>
          <div className="flex items-end gap-2">
            {head(item)}
            <IconButton
              icon={X}
              className="mb-0.5"
              label={`Remove ${nameOf(item)}`}
              onClick={() => onRemove(item.id)}
            />
          </div>
          {body(item)}
        </li>
      ))}
    </ul>
  );
}
