import { ChevronDown } from 'lucide-react';
import { sectionFolded } from '../../store/deskSlice.ts';
import { useAppDispatch } from '../../store/store.ts';
import { LoafDrawing } from './LoafDrawing.tsx';

/** The section folded to a strip on a small screen: the loaf, small, and the way back to it. */
export function FoldedSection() {
  const dispatch = useAppDispatch();
  return (
    <button
      type="button"
      className="flex w-full cursor-pointer items-center gap-3 px-4 py-1.5 text-left"
      aria-expanded="false"
      onClick={() => dispatch(sectionFolded(false))}
    >
      <span className="w-20 shrink-0">
        <LoafDrawing letters={false} />
      </span>
      <span className="flex-1 font-bold">Show the section</span>
      <ChevronDown className="size-5" aria-hidden="true" />
    </button>
  );
}
