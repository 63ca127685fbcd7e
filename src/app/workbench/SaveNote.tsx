import type { SaveState } from '../../store/keeping/keepingSlice.ts';
import { selectBehind } from '../../store/computed.ts';
import { useAppSelector } from '../../store/store.ts';

const WORDS: Readonly<Record<SaveState, string>> = {
  saved: 'saved',
  unsaved: 'saving…',
  saving: 'saving…',
  failed: 'not saved: trying again',
  conflict: 'kept aside: changed in two places',
};

/** The quiet word on whether the plan is stored. */
export function SaveNote() {
  const work = useAppSelector((s) => s.keeping.works[s.plan.present?.id ?? '']);
  // a version that is to be kept aside, and is not yet, is as little saved as any other
  const save = work?.trouble ? 'failed' : (work?.save ?? 'saved');
  const behind = useAppSelector(selectBehind);
  const trouble = save === 'failed' || save === 'conflict';
  return (
    <span role="status" className={`text-sm whitespace-nowrap ${trouble ? 'font-bold text-error' : 'quiet'}`}>
      {behind && !trouble ? 'working it out…' : WORDS[save]}
    </span>
  );
}
