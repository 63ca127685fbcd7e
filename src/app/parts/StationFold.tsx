import { useEffect, useRef, type ReactNode } from 'react';
import { useLocation } from 'react-router';
import { foldMoved } from '../../store/deskSlice.ts';
import { useAppDispatch, useAppSelector } from '../../store/store.ts';
import { Fold } from '../kit/Fold.tsx';

interface StationFoldProps {
  /** its name in addresses: `/batter#lye` comes to it, open */
  readonly id: string;
  readonly title: string;
  readonly figure?: string | undefined;
  readonly state?: string | undefined;
  readonly children: ReactNode;
}

/** A part of a station: it stays as it was left while the plan is open, and a link leads to it. */
export function StationFold({ id, ...fold }: StationFoldProps) {
  const dispatch = useAppDispatch();
  const open = useAppSelector((s) => s.desk.unfolded.includes(id));
  const { hash, key } = useLocation();
  const here = useRef<HTMLDivElement>(null);
  useEffect(() => {
    if (hash !== `#${id}`) return;
    dispatch(foldMoved({ fold: id, open: true }));
    here.current?.scrollIntoView();
  }, [dispatch, hash, key, id]);
  return (
    <div ref={here} id={id}>
      <Fold {...fold} open={open} onMove={(to) => dispatch(foldMoved({ fold: id, open: to }))} />
    </div>
  );
}
