import { Outlet } from 'react-router';
import { Station } from '../../parts/Station.tsx';
import { StationPages } from '../../parts/StationPages.tsx';

const PAGES = [
  { path: 'pots', name: 'Pots' },
  { path: 'ombre', name: 'Ombre' },
  { path: 'mixing', name: 'Mixing and checks' },
] as const;

/**
 * Colour in three pages: what is in each pot, the grading of an ombre, and how all of it is mixed and reads.
 */
export function ColourStation() {
  return (
    <Station station="colour" title="Colour" below={<StationPages label="Colour" pages={PAGES} />}>
      <Outlet />
    </Station>
  );
}
