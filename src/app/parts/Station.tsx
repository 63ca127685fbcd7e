import type { ReactNode } from 'react';
import type { Station as StationName, Warning } from '../../core/advice/warning.ts';
import { WarningCards } from './WarningCards.tsx';
import { usePlan } from './usePlan.ts';

/** The frame of a station: its title, what to warn of here, its contents. */
export function Station({
  station,
  title,
  below,
  tells = () => true,
  children,
}: {
  readonly station: StationName;
  readonly title: string;
  /** under the title, above the warnings */
  readonly below?: ReactNode;
  /** which of its warnings are of use where one is in it; all, when absent */
  readonly tells?: (warning: Warning) => boolean;
  readonly children: ReactNode;
}) {
  const { computed } = usePlan('warnings');
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-5 p-5">
      <h2 className="text-xl">{title}</h2>
      {below}
      <WarningCards warnings={computed.warnings.filter((w) => w.station === station && tells(w))} />
      {children}
    </div>
  );
}

/** A titled group inside a station. */
export function Group({
  title,
  children,
  aside,
}: {
  readonly title: string;
  readonly children: ReactNode;
  readonly aside?: ReactNode;
}) {
  return (
    <section className="grid grid-cols-[minmax(0,1fr)] gap-3" aria-label={title}>
      <div className="flex items-baseline justify-between gap-3">
        <h3 className="text-base">{title}</h3>
        {aside}
      </div>
      {children}
    </section>
  );
}
