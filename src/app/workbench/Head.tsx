import { memo } from 'react';
import { ChevronLeft, Redo2, Undo2 } from 'lucide-react';
import { Link } from 'react-router';
import { redone, undone } from '../../store/planSlice.ts';
import { useAppDispatch, useAppSelector } from '../../store/store.ts';
import { ThemeButton } from '../parts/ThemeButton.tsx';
import { useHeadFocus } from '../parts/useHeadFocus.ts';
import { useFigure, usePresent } from '../parts/usePlan.ts';
import { useShow } from '../parts/useShow.ts';
import { barsText } from '../../core/cut/barsText.ts';
import { Help } from '../help/Help.tsx';
import { PlanDetails } from './PlanDetails.tsx';
import { SaveNote } from './SaveNote.tsx';
import { IconButton } from '../kit/IconButton.tsx';

function Figure({ name, value }: { readonly name: string; readonly value: string }) {
  return (
    <span className="flex items-baseline gap-1.5 whitespace-nowrap">
      {name !== '' && <span className="quiet text-sm">{name}</span>}
      <strong className="text-lg">{value}</strong>
    </span>
  );
}

const ToShelf = memo(function ToShelf() {
  return (
    <Link
      to="/"
      className="btn btn-ghost btn-sm gap-1 px-2 max-bench:min-h-11 max-bench:min-w-11"
      aria-label="To the shelf"
    >
      <ChevronLeft className="size-4" aria-hidden="true" />
      <span className="hidden sm:inline">Shelf</span>
    </Link>
  );
});

/** A step back, a step forth. */
const UndoRedo = memo(function UndoRedo() {
  const dispatch = useAppDispatch();
  const back = useAppSelector((s) => s.plan.past.length > 0);
  const forward = useAppSelector((s) => s.plan.future.length > 0);
  return (
    <div className="flex">
      <IconButton
        icon={Undo2}
        disabled={!back}
        label="Undo"
        title="Undo (Ctrl+Z)"
        onClick={() => dispatch(undone())}
      />
      <IconButton
        icon={Redo2}
        disabled={!forward}
        label="Redo"
        title="Redo (Ctrl+Shift+Z)"
        onClick={() => dispatch(redone())}
      />
    </div>
  );
});

function Name() {
  const { name } = usePresent();
  const head = useHeadFocus();
  return (
    <h1
      ref={head}
      tabIndex={-1}
      className="min-w-0 flex-1 basis-[60%] truncate text-xl sm:flex-none sm:basis-auto short:text-base"
    >
      {name}
    </h1>
  );
}

/** What does not change with the plan. */
const Tools = memo(function Tools() {
  return (
    <>
      <Help />
      <ThemeButton />
    </>
  );
});

/** The plan's name, whether it is saved, its main figures. */
export function Head() {
  const weights = useFigure((c) => c.weights);
  const bars = useFigure((c) => barsText(c.moulds));
  const show = useShow(useFigure((c) => c.plan.units));
  return (
    <header className="no-print rule flex min-h-14 flex-wrap items-center gap-x-1.5 border-b bg-base-100 px-2 py-1 sm:px-4 short:min-h-11 short:py-0 bench:gap-x-3 away:hidden">
      <ToShelf />
      <Name />
      <PlanDetails />
      <SaveNote />
      <UndoRedo />
      <div className="ml-auto hidden items-baseline gap-4 px-1 md:flex bench:gap-6">
        {weights && (
          <>
            <Figure name="batter" value={show.mass(weights.batterG)} />
            <Figure name="lye" value={show.lye(weights.lyeG)} />
          </>
        )}
        <Figure name="" value={bars} />
      </div>
      <span className="ml-auto flex items-center md:ml-0">
        <Tools />
      </span>
    </header>
  );
}
