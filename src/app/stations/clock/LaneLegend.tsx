import type { ReactNode } from 'react';

const INK = 'currentColor';
const GREEN = 'var(--color-success)';

const KEYS: readonly { readonly says: string; readonly drawn: ReactNode }[] = [
  { says: 'in the jug', drawn: <path d="M1 8h20" stroke={INK} strokeWidth="2.2" /> },
  {
    says: 'poured, as it bears',
    drawn: (
      <>
        <path d="M1 8h20" stroke={INK} strokeWidth="5.5" />
        <path d="M1 8h20" stroke="var(--color-accent)" strokeWidth="4" />
      </>
    ),
  },
  {
    says: 'as it flows once moved',
    drawn: <path d="M1 8h20" stroke={INK} strokeWidth="1.6" strokeDasharray="2 4" strokeLinecap="round" />,
  },
  { says: 'eight times of ten', drawn: <path d="M1 8h20" stroke={INK} strokeWidth="13" opacity="0.22" /> },
  { says: 'right to pour', drawn: <path d="M1 8h20" stroke={GREEN} strokeWidth="13" opacity="0.35" /> },
  { says: 'from when until when', drawn: <path d="M1 8h20" stroke={GREEN} strokeWidth="4" /> },
  { says: 'carries the next', drawn: <path d="M11 1v14" stroke={GREEN} strokeWidth="3" /> },
];

/** What the lines of a lane are. */
export const LaneLegend = () => (
  <ul className="flex flex-wrap gap-x-3.5 gap-y-0.5 text-xs" aria-label="What the lines are">
    {KEYS.map(({ says, drawn }) => (
      <li key={says} className="flex items-center gap-1.5">
        <svg width="22" height="16" viewBox="0 0 22 16" fill="none" aria-hidden="true">
          {drawn}
        </svg>
        {says}
      </li>
    ))}
  </ul>
);
