import { useSortable } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { memo, type KeyboardEvent, type ReactNode } from 'react';
import { removeStep } from '../../core/edit/pours.ts';
import type { Pot } from '../../core/plan/planSchema.ts';
import type { Step } from '../../core/plan/stepSchema.ts';
import { pourChosen } from '../../store/deskSlice.ts';
import { editHere } from '../../store/editHere.ts';
import { useAppDispatch } from '../../store/store.ts';
import { Braid, braidWords } from './Braid.tsx';
import { Drop } from './Drop.tsx';
import { MarkDrawing, markWords } from './marks.tsx';

interface LineThingProps {
  readonly id: string;
  readonly says: string;
  readonly chosen: boolean;
  readonly className: string;
  /** one place earlier or later */
  readonly onShift: (id: string, by: 1 | -1) => void;
  readonly children: ReactNode;
}

/** The next or the one before on the line has the focus. */
function step(event: KeyboardEvent<HTMLElement>, by: 1 | -1): void {
  const all = [...(event.currentTarget.closest('ol')?.querySelectorAll<HTMLElement>('[data-on-line]') ?? [])];
  all[all.indexOf(event.currentTarget) + by]?.focus();
}

/**
 * Anything that stands on the line: chosen by a press, moved by dragging it or by Alt with the arrow keys,
 * taken out by Delete. The arrow keys alone go from one to the next.
 */
function LineThing({ id, says, chosen, className, onShift, children }: LineThingProps) {
  const dispatch = useAppDispatch();
  const { setNodeRef, listeners, transform, transition, isDragging } = useSortable({ id });
  const pressed = (event: KeyboardEvent<HTMLElement>): void => {
    const by = { ArrowLeft: -1, ArrowRight: 1 }[event.key] as 1 | -1 | undefined;
    if (event.key === 'Delete') {
      dispatch(editHere((p) => removeStep(p, id)));
      if (chosen) dispatch(pourChosen(null));
    } else if (by && event.altKey) onShift(id, by);
    else if (by) step(event, by);
    else return;
    event.preventDefault();
  };
  return (
    <button
      ref={setNodeRef}
      type="button"
      data-on-line
      {...listeners}
      className={`grid touch-none justify-items-center ${className} ${isDragging ? 'z-10 cursor-grabbing' : 'cursor-pointer'}`}
      style={{ transform: CSS.Translate.toString(transform), transition }}
      aria-pressed={chosen}
      aria-label={says}
      aria-keyshortcuts="Alt+ArrowLeft Alt+ArrowRight Delete"
      onClick={() => dispatch(pourChosen(chosen ? null : id))}
      onKeyDown={pressed}
    >
      {children}
    </button>
  );
}

interface MarkProps extends Pick<LineThingProps, 'chosen' | 'onShift'> {
  readonly step: Exclude<Step, { kind: 'pour' }>;
}

/** What is done between the pours. */
export const Mark = memo(function Mark({ step: one, chosen, onShift }: MarkProps) {
  const { word, says } = markWords(one);
  return (
    <LineThing
      id={one.id}
      says={`${word}: ${says}`}
      chosen={chosen}
      className="gap-1 px-2 pb-1 short:gap-0 short:pb-0"
      onShift={onShift}
    >
      <MarkDrawing step={one} chosen={chosen} />
      <span className={`text-xs whitespace-nowrap ${chosen ? 'font-bold' : ''}`}>{word}</span>
    </LineThing>
  );
});

interface DropButtonProps extends Pick<LineThingProps, 'id' | 'chosen' | 'onShift'> {
  readonly nth: number;
  readonly pot: Pot;
  readonly mass: string;
  /** its minute on the clock */
  readonly at: string | undefined;
  /** something of it does not go as it is timed */
  readonly amiss: boolean;
  /** rounds of several pots: how they are drawn, in one line that stays the same for the same rounds */
  readonly braid: string | undefined;
}

/** One pour's drop. Its props are plain, so that a drag in the section redraws only the drops it changes. */
export const DropButton = memo(function DropButton(props: DropButtonProps) {
  const { id, nth, pot, mass, at, amiss, chosen, braid, onShift } = props;
  const what = braid === undefined ? `${pot.letter}, ${pot.name}` : braidWords(braid);
  return (
    <LineThing
      id={id}
      says={`Pour ${nth}: ${what}, ${mass}${at === undefined ? '' : `, at ${at} min`}`}
      chosen={chosen}
      className="rounded-b-box px-1 pb-1 short:pb-0"
      onShift={onShift}
    >
      {braid === undefined ? (
        <Drop pot={pot} pour={id} chosen={chosen} />
      ) : (
        <Braid braid={braid} chosen={chosen} />
      )}
      <span className={`text-xs whitespace-nowrap short:hidden ${chosen ? 'font-bold' : 'quiet'}`}>
        {mass}
      </span>
      {at !== undefined && (
        <span
          className={`text-xs whitespace-nowrap max-sm:hidden short:hidden ${amiss ? 'font-bold text-error' : 'quiet'}`}
        >
          {at}
        </span>
      )}
    </LineThing>
  );
});
