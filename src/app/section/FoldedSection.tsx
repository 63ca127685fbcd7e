import { ChevronDown } from 'lucide-react';
import { sectionFolded } from '../../store/deskSlice.ts';
import { useAppDispatch } from '../../store/store.ts';
import { LoafDrawing } from './LoafDrawing.tsx';

/** The section folded away on a small screen: the loaf, small, and the way back to it. */
export function FoldedSection() {
  const dispatch = useAppDispatch();
  return (
    <button
      type="button"
      className="flex min-h-10 cursor-pointer items-center gap-1 px-2"
      aria-expanded="false"
      aria-label="Show the section"
      title="Show the section"
      onClick={() => dispatch(sectionFolded(false))}
    >
      <span className="w-11 shrink-0">
        <LoafDrawing letters={false} />
      </span>
      <ChevronDown className="size-5" aria-hidden="true" />
    </button>
  );
}
