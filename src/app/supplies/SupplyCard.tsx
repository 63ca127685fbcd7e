import { Trash2 } from 'lucide-react';
import type { ReactNode } from 'react';
import type { Fault } from '../../core/result/result.ts';
import type { Supply } from '../../core/supplies/schema.ts';
import type { Gesture } from '../../store/gesture.ts';
import { supplyKeeper } from '../../store/keeping/library.ts';
import type { Seen } from '../../store/tables/kind.ts';
import { TextField } from '../parts/TextField.tsx';
import { IconButton } from '../kit/IconButton.tsx';

interface StoreCardProps {
  readonly seen: Seen<Supply>;
  /** what it is called to those who hear the page */
  readonly name: string;
  readonly keep: (part: { readonly name: string }, gesture: Gesture) => Fault | undefined;
  readonly children: ReactNode;
}

/** One thing of the supplies: its name, what is known of it, and a way out. */
export function SupplyCard({ seen, name, keep, children }: StoreCardProps) {
  return (
    <li aria-label={name} className="rule grid content-start gap-3 border-b pb-4">
      <div className="flex items-end gap-2">
        <TextField
          label="Name"
          className="flex-1"
          value={seen.value.name}
          onValue={(next, g) => keep({ name: next }, g)}
        />
        <IconButton
          icon={Trash2}
          className="mb-0.5"
          label={`Take ${name} out of the supplies`}
          title="Take it out"
          onClick={() => void supplyKeeper.change(seen.value.id, seen, null)}
        />
      </div>
      {children}
    </li>
  );
}
