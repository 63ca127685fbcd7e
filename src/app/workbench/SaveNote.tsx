import type { SaveState } from '../../store/deskSlice.ts';
import { useAppSelector } from '../../store/store.ts';

const WORDS: Readonly<Record<SaveState, string>> = {
  saved: 'saved',
  unsaved: 'saving…',
  saving: 'saving…',
  failed: 'not saved: storage refused it, trying again',
  conflict: 'not saved: changed in two places',
};

/** The quiet word on whether the plan is stored. */
export function SaveNote() {
  const save = useAppSelector((s) => s.desk.save);
  const trouble = save === 'failed' || save === 'conflict';
  return (
    <span role="status" className={`text-sm whitespace-nowrap ${trouble ? 'font-bold text-error' : 'quiet'}`}>
      {WORDS[save]}
    </span>
  );
}
