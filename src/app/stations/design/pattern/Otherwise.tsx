import { useState } from 'react';
import { besideKept, viewShown } from '../../../../store/deskSlice.ts';
import { useAppDispatch, useAppSelector } from '../../../../store/store.ts';
import { Group } from '../../../parts/Station.tsx';
import { usePresent } from '../../../parts/usePlan.ts';
import { Vary } from './Vary.tsx';

/** Trying a design otherwise: nine round it, or this one kept beside while it is changed. */
export function Otherwise() {
  const present = usePresent();
  const dispatch = useAppDispatch();
  const beside = useAppSelector((s) => s.desk.beside);
  const [open, setOpen] = useState(false);
  return (
    <Group title="Try it otherwise">
      <div className="flex flex-wrap gap-1.5">
        <button type="button" className="btn btn-sm" aria-pressed={open} onClick={() => setOpen(!open)}>
          {open ? 'Close the nine' : 'Nine round it'}
        </button>
        <button
          type="button"
          className="btn btn-sm"
          onClick={() => {
            dispatch(besideKept(present));
            dispatch(viewShown('beside'));
          }}
        >
          {beside ? 'Keep this one beside instead' : 'Keep it beside, to compare'}
        </button>
      </div>
      {open && <Vary />}
    </Group>
  );
}
