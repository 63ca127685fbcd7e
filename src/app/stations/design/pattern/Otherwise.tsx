import { useState } from 'react';
import { besideKept, viewShown } from '../../../../store/deskSlice.ts';
import { useAppDispatch, useAppSelector } from '../../../../store/store.ts';
import { usePresent } from '../../../parts/usePlan.ts';
import { Vary } from './Vary.tsx';
import { Button } from '../../../kit/Button.tsx';

/** Trying a design otherwise: nine round it, or this one kept beside while it is changed. */
export function Otherwise() {
  const present = usePresent();
  const dispatch = useAppDispatch();
  const beside = useAppSelector((s) => s.desk.beside);
  const [open, setOpen] = useState(false);
  return (
    <>
      <div className="flex flex-wrap gap-1.5">
        <Button aria-pressed={open} onClick={() => setOpen(!open)}>
          {open ? 'Close the nine' : 'Nine round it'}
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
      {open && <Vary />}
    </>
  );
}
