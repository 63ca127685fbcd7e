import type { ReactNode } from 'react';
import { selectWork } from '../../store/computed.ts';
import { useAppSelector } from '../../store/store.ts';
import { Boundary } from '../parts/Boundary.tsx';

/**
 * A part of the page that shows the open plan: it fails alone, and what is edited, or another station, tries
 * it again.
 */
export function PartOfPlan(props: {
  readonly what: string;
  readonly station?: string;
  readonly children: ReactNode;
}) {
  const work = useAppSelector(selectWork);
  return (
    <Boundary what={props.what} of={[work, props.station]}>
      {props.children}
    </Boundary>
  );
}
