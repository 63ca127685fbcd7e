import { Keyboard } from 'lucide-react';
import { DialogButton } from '../parts/DialogButton.tsx';

const KEYS: readonly { readonly keys: string; readonly does: string }[] = [
  { keys: 'Ctrl Z, or Cmd Z', does: 'undo; with Shift, or Ctrl Y: redo' },
  { keys: 'Tab', does: 'to the next drop, line, field or button' },
  { keys: 'Up, Down on a layer line', does: 'move it by a step of the scale; with Shift by ten' },
  { keys: 'Arrows on the tilt handle', does: 'tilt by a step; with Shift by ten' },
  { keys: 'Alt Left, Alt Right on a drop', does: 'pour it earlier or later' },
  { keys: 'Left, Right on a mark of an ombre', does: 'bunch its steps; with Shift by ten' },
  { keys: 'Arrows on the loaf', does: 'turn it' },
  { keys: 'Enter in a field', does: 'take what is typed' },
  { keys: 'Esc in a field', does: 'bring back what the plan has' },
];

/** What the keyboard can do, behind a button. */
export function Keys() {
  return (
    <DialogButton label="Keys" icon={<Keyboard className="size-4.5" aria-hidden="true" />} title="Keys">
      <dl className="grid grid-cols-[minmax(0,2fr)_minmax(0,3fr)] gap-x-4 gap-y-1.5">
        {KEYS.map(({ keys, does }) => (
          <div key={keys} className="contents">
            <dt className="font-bold">{keys}</dt>
            <dd>{does}</dd>
          </div>
        ))}
      </dl>
    </DialogButton>
  );
}
