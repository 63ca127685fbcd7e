import { besideKept, viewShown } from '../../../../store/deskSlice.ts';
import { useAppDispatch, useAppSelector } from '../../../../store/store.ts';
import { usePresent } from '../../../parts/usePlan.ts';
import { Button } from '../../../kit/Button.tsx';

/** Trying a design otherwise: nine round it, or this one kept beside while it is changed. */
export function Otherwise() {
  const present = usePresent();
  const dispatch = useAppDispatch();
  const beside = useAppSelector((s) => s.desk.beside !== null);
  const nine = useAppSelector((s) => s.desk.view === 'nine');
  return (
    <div className="flex flex-wrap gap-1.5">
      <Button aria-pressed={nine} onClick={() => dispatch(viewShown(nine ? 'section' : 'nine'))}>
        {nine ? 'Close the nine' : 'Nine round it'}
      </Button>
      <Button
        onClick={() => {
          dispatch(besideKept(present));
          dispatch(viewShown('beside'));
        }}
      >
        {beside ? 'Keep this one beside instead' : 'Keep it beside, to compare'}
      </Button>
    </div>
  );
}
