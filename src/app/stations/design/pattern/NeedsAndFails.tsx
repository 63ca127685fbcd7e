import type { KnowHow } from '../../../../core/ways/way.ts';

/** What a way of pouring or a tool needs, and how it usually fails. */
export const NeedsAndFails = ({ know }: { readonly know: Pick<KnowHow, 'needs' | 'fails'> }) => (
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
);
