import { Outlet } from 'react-router';
import { NewVersionBar } from './NewVersionBar.tsx';
import { StorageBar } from './StorageBar.tsx';

/** Every page: what the maker must know over it, then the page itself in what is left of the window. */
export function Page() {
  return (
    <div className="flex h-dvh flex-col print:block print:h-auto">
      <StorageBar />
      <NewVersionBar />
      <Outlet />
    </div>
  );
}
