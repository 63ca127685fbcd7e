import type { ReactNode } from 'react';
import type { KnowHow } from '../../../core/ways/way.ts';
import { Fold } from '../../kit/Fold.tsx';

interface MoreProps {
  readonly know: Pick<KnowHow, 'needs' | 'fails'>;
  readonly state?: string;
  readonly children?: ReactNode;
}

/** On every card, one press away: what it needs, how it usually fails, and what is rarer. */
export const More = ({ know, state, children }: MoreProps) => (
  <Fold title="What it needs, and more" state={state}>
    <dl className="grid gap-2 text-sm">
      <div>
        <dt className="font-bold">It needs</dt>
        <dd className="quiet">{know.needs}</dd>
      </div>
      <div>
        <dt className="font-bold">How it usually fails</dt>
        <dd className="quiet">{know.fails}</dd>
      </div>
    </dl>
    {children}
  </Fold>
);
