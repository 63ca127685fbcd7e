import { useEffect, useRef, type ReactNode } from 'react';

interface HeadingProps {
  /** what is on the screen: when that is another one, the focus comes here and it is read out once */
  readonly of: string;
  /** stands over it, small */
  readonly over?: ReactNode;
  /** before it: a letter on its colour */
  readonly badge?: ReactNode;
  readonly children: ReactNode;
}

/** The head of what is on the screen now. */
export function Heading({ of, over, badge, children }: HeadingProps) {
  const head = useRef<HTMLHeadingElement>(null);
  useEffect(() => {
    head.current?.focus({ preventScroll: true });
  }, [of]);
  return (
    <div className="grid gap-1">
      {over !== undefined && <p className="quiet">{over}</p>}
      <div className="flex items-center gap-3">
        {badge}
        <h1 ref={head} tabIndex={-1} className="text-3xl leading-tight sm:text-4xl">
          {children}
        </h1>
      </div>
    </div>
  );
}
