import { X } from 'lucide-react';
import { useState } from 'react';
import type { Fault } from '../../../core/result/result.ts';
import { LengthField } from '../../parts/quantities.tsx';
import { TextField } from '../../parts/TextField.tsx';
import { useThingsToHand } from './useThingsToHand.ts';
import { Button } from '../../kit/Button.tsx';
import { IconButton } from '../../kit/IconButton.tsx';

/** The maker's own list of things to prop a mould on. */
export function ThingsToHand() {
  const { list, put } = useThingsToHand();
  const [open, setOpen] = useState(false);
  const refuseName = (name: string, i: number): Fault | undefined =>
    name.trim() === ''
      ? { code: 'empty', message: 'a name is wanted' }
      : list.some((t, k) => k !== i && t.name === name.trim())
        ? { code: 'repeated', message: 'there is one of that name already' }
        : undefined;
  return (
    <details onToggle={(event) => setOpen(event.currentTarget.open)}>
      <summary className="cursor-pointer text-sm font-semibold">Things to hand</summary>
      {open && (
        <ul className="mt-2 grid grid-cols-[minmax(0,1fr)] gap-2">
          {list.map((t, i) => (
            <li key={i} className="flex items-end gap-2">
              <TextField
                label="Thing"
                className="min-w-0 flex-1"
                value={t.name}
                onValue={(name) => {
                  const fault = refuseName(name, i);
                  if (!fault) put(list.map((x, k) => (k === i ? { ...x, name: name.trim() } : x)));
                  return fault;
                }}
              />
              <LengthField
                label="High"
                className="w-24"
                value={t.heightMm}
                onValue={(heightMm) => {
                  if (heightMm < 0.5 || heightMm > 400)
                    return { code: 'out-of-range', message: '0.5 to 400 mm' };
                  put(list.map((x, k) => (k === i ? { ...x, heightMm } : x)));
                  return undefined;
                }}
              />
              <IconButton
                icon={X}
                className="mb-0.5"
                label={`Remove ${t.name}`}
                onClick={() => put(list.filter((_, k) => k !== i))}
              />
            </li>
          ))}
          <li>
            <Button
              onClick={() => {
                const nth = list.filter((t) => t.name.startsWith('block')).length + 1;
                put([...list, { name: nth === 1 ? 'block' : `block ${nth}`, heightMm: 20 }]);
              }}
            >
              Add a thing
            </Button>
          </li>
        </ul>
      )}
    </details>
  );
}
