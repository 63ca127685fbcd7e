import type { Warning } from '../../core/advice/warning.ts';
import { useEdit } from './usePlan.ts';
import { Button } from '../kit/Button.tsx';

const TONES = {
  refuse: { edge: 'border-error', word: 'Refused' },
  warn: { edge: 'border-warning', word: 'Take care' },
  note: { edge: 'border-info', word: 'Note' },
} as const;

/** What to know at this place, worst first, each with its one-press remedies. */
export function WarningCards({ warnings }: { readonly warnings: readonly Warning[] }) {
  const edit = useEdit();
  const order = ['refuse', 'warn', 'note'];
  const sorted = warnings.toSorted((a, b) => order.indexOf(a.level) - order.indexOf(b.level));
  const alike = new Map<string, number>();
  /** of several about the same, which */
  const nth = (w: Warning): number => {
    const about = `${w.code}-${w.mould ?? ''}-${w.step ?? ''}-${w.pot ?? ''}`;
    alike.set(about, (alike.get(about) ?? -1) + 1);
    return alike.get(about) ?? 0;
  };
  if (sorted.length === 0) return null;
  return (
    <ul className="grid gap-2" aria-label="Warnings">
      {sorted.map((w) => (
        <li
          // its figures change while a line is dragged: it is the same card
          key={`${w.code}-${w.mould ?? ''}-${w.step ?? ''}-${w.pot ?? ''}-${nth(w)}`}
          className={`grid grid-cols-[minmax(0,1fr)] gap-2 rounded-r-box border-l-4 bg-base-100 px-3 py-2.5 ${TONES[w.level].edge}`}
        >
          <p className="text-sm leading-snug">
            <strong>{TONES[w.level].word}.</strong> {w.message}
          </p>
          {w.remedies && w.remedies.length > 0 && (
            <p className="flex flex-wrap gap-2">
              {w.remedies.map((r) => (
                <Button
                  tone="primary"
                  className="h-auto min-h-8 max-w-full shrink py-1 text-left whitespace-normal"
                  key={r.label}
                  onClick={() => edit(r.apply)}
                >
                  {r.label}
                </Button>
              ))}
            </p>
          )}
        </li>
      ))}
    </ul>
  );
}
