import type { ReactNode } from 'react';

/** An empty shelf that shows what will stand on it. */
export function EmptyShelf({ children }: { readonly children: ReactNode }) {
  return (
    <div className="grid flex-1 place-items-center p-8">
      <div className="grid max-w-lg justify-items-center gap-5 text-center">
        <svg width="220" height="150" viewBox="0 0 220 150" aria-hidden="true">
          <path d="M40 20V125H180V20" fill="none" stroke="var(--wood-line)" strokeWidth="8" />
          {[0, 1, 2, 3].map((i) => (
            <path
              key={i}
              d={`M48 ${100 - i * 21}Q110 ${97 - i * 21} 172 ${100 - i * 21}`}
              fill="none"
              stroke="var(--color-secondary)"
              strokeDasharray="4 6"
              opacity="0.7"
            />
          ))}
          <path d="M110 8c1 10 8 12 8 19a8 8 0 0 1-16 0c0-7 7-9 8-19z" fill="var(--color-accent)" />
        </svg>
        <h2 className="text-2xl">An empty shelf</h2>
        <p className="quiet">
          Pick a mould, draw the layers, and Drip Line works out every pot, the lye and the water, and the
          order of the pours.
        </p>
        {children}
      </div>
    </div>
  );
}
