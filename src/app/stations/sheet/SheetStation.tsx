import { Outlet } from 'react-router';
import { StartBatch } from './StartBatch.tsx';
import { StationPages } from '../../parts/StationPages.tsx';

const PAGES = [
  { path: 'acts', name: 'Pour sheet' },
  { path: 'card', name: 'Card for the bench' },
  { path: 'jugs', name: 'What is in every jug' },
] as const;

/** The day on paper: what to do, and what every vessel holds at any moment. */
export function SheetStation() {
  return (
    <>
      <div className="no-print grid gap-4 px-6 pt-5">
        <StartBatch />
        <StationPages label="Sheet" pages={PAGES} />
      </div>
      <Outlet />
    </>
  );
}
