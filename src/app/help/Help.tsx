import { CircleHelp } from 'lucide-react';
import { useState } from 'react';
import { DialogButton } from '../parts/DialogButton.tsx';
import { PLACES } from './places.ts';
import { WORDS } from './words.ts';
import { Find } from '../kit/Find.tsx';

const KEYS: readonly { readonly keys: string; readonly does: string }[] = [
  { keys: 'Ctrl Z, or Cmd Z', does: 'undo; with Shift, or Ctrl Y: redo' },
  { keys: 'Tab', does: 'to the next drop, line, field or button' },
  { keys: 'Up, Down on a layer line', does: 'move it by a step of the scale; with Shift by ten' },
  { keys: 'Arrows on the tilt handle', does: 'tilt by a step; with Shift by ten' },
  { keys: 'Left, Right on the line', does: 'from one thing to the next' },
  { keys: 'Alt Left, Alt Right on a drop', does: 'pour it earlier or later; so for anything on the line' },
  { keys: 'Delete on the line', does: 'take it out' },
  { keys: 'Left, Right on a mark of an ombre', does: 'bunch its steps; with Shift by ten' },
  { keys: 'Arrows on the loaf', does: 'turn it' },
  { keys: 'Enter in a field', does: 'take what is typed' },
  { keys: 'Esc in a field', does: 'bring back what the plan has' },
];

const LIST = 'grid grid-cols-[minmax(0,2fr)_minmax(0,3fr)] gap-x-4 gap-y-1.5';

/** What is where, what the keyboard can do, and what the trade's words mean. */
export function Help() {
  const [sought, setSought] = useState('');
  const words = WORDS.filter((w) =>
    `${w.word} ${w.means}`.toLowerCase().includes(sought.trim().toLowerCase()),
  );
  return (
    <DialogButton label="Help" icon={<CircleHelp className="size-4.5" aria-hidden="true" />} title="Help">
      <section aria-labelledby="help-places" className="grid gap-1.5">
        <h3 id="help-places" className="text-base">
          What is where
        </h3>
        <dl className={LIST}>
          {Object.values(PLACES).map(({ name, says }) => (
            <div key={name} className="contents">
              <dt className="font-bold">{name}</dt>
              <dd>{says}</dd>
            </div>
          ))}
        </dl>
      </section>
      <section aria-labelledby="help-keys" className="grid gap-1.5">
        <h3 id="help-keys" className="text-base">
          Keys
        </h3>
        <dl className={LIST}>
          {KEYS.map(({ keys, does }) => (
            <div key={keys} className="contents">
              <dt className="font-bold">{keys}</dt>
              <dd>{does}</dd>
            </div>
          ))}
        </dl>
      </section>
      <section aria-labelledby="help-words" className="grid gap-1.5">
        <div className="flex items-end justify-between gap-3">
          <h3 id="help-words" className="text-base">
            Words
          </h3>
          <Find label="Find a word" className="w-44" value={sought} onFind={setSought} />
        </div>
        <dl className={LIST}>
          {words.map(({ word, means }) => (
            <div key={word} className="contents">
              <dt className="font-bold">{word}</dt>
              <dd>{means}</dd>
            </div>
          ))}
        </dl>
        {words.length === 0 && <p className="quiet text-sm">“{sought}” is not among them.</p>}
      </section>
    </DialogButton>
  );
}
