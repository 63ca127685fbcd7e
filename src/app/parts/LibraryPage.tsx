import type { ReactNode } from 'react';
import { BackButton } from './BackButton.tsx';
import { useHeadFocus } from './useHeadFocus.ts';
import { ThemeButton } from './ThemeButton.tsx';

interface LibraryPageProps {
  readonly title: string;
  /** the way back; to where it was opened from, when absent */
  readonly back?: ReactNode;
  /** beside the title: what finds something in it */
  readonly beside?: ReactNode;
  readonly tools?: ReactNode;
  /** why the last file was not taken */
  readonly refused?: string | null;
  readonly children: ReactNode;
}

/** A page of what a maker has, apart from any plan: its head, what went wrong, and what is in it. */
export function LibraryPage({ title, back, beside, tools, refused = null, children }: LibraryPageProps) {
  const head = useHeadFocus();
  return (
    <div className="flex min-h-0 flex-1 flex-col">
      <header className="rule flex min-h-14 flex-wrap items-center gap-3 border-b bg-base-100 px-4 py-2">
        {back ?? <BackButton />}
        <h1 ref={head} tabIndex={-1} className="text-xl">
          {title}
        </h1>
        {beside}
        <span className="ml-auto flex gap-2">{tools}</span>
        <ThemeButton />
      </header>
      {refused !== null && (
        <p role="alert" className="border-l-4 border-error bg-base-100 px-4 py-3">
          {refused}
        </p>
      )}
      {children}
    </div>
  );
}
