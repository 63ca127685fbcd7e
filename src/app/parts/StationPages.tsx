import { NavLink } from 'react-router';

interface StationPagesProps {
  readonly label: string;
  readonly pages: readonly { readonly path: string; readonly name: string }[];
}

/** The pages that a station is parted into. */
export function StationPages({ label, pages }: StationPagesProps) {
  return (
    <nav aria-label={label} className="rule flex flex-wrap gap-x-6 border-b">
      {pages.map((page) => (
        <NavLink
          key={page.path}
          to={page.path}
          className={({ isActive }) =>
            `-mb-px border-b-3 pb-1.5 ${isActive ? 'border-accent font-bold' : 'quiet border-transparent hover:text-base-content'}`
          }
        >
          {page.name}
        </NavLink>
      ))}
    </nav>
  );
}
