import type { ReactNode } from 'react';
import type { Vessel } from '../../core/day/vessel.ts';
import type { Screen } from '../../core/making/screens.ts';
import type { Line } from '../../core/procedure/act.ts';
import { UNDER_WORDS } from '../../core/mould/propWords.ts';
import { formatLength } from '../../core/units/format.ts';
import { PotBadge } from '../parts/PotBadge.tsx';
import { useShow } from '../parts/useShow.ts';
import { useDay } from './dayContext.ts';
import { useVesselName } from './useVessel.ts';

/** More amounts than this stand in a list. */
const LARGE = 2;

/** The figure at arm's length: what is put on the scale, from where to where; of a prop its height. */
export function Amounts({ screen: { act, turn } }: { readonly screen: Screen }) {
  const { plan } = useDay().state;
  const show = useShow(plan.units);
  const { deed, lines } = act;
  if (turn) return <Figure text={show.mass(turn.massG)} says={`Jug ${turn.letter}`} />;
  if (deed.does === 'prop' && lines.length === 0)
    return (
      <>
        {deed.props.map((p) => (
          <Figure
            key={p.under}
            text={formatLength(p.heightMm, 'mm')}
            says={`under ${UNDER_WORDS[p.under]}`}
          />
        ))}
      </>
    );
  const text = ({ massG, fine, lye }: Line): string => (fine ? show.fine : lye ? show.lye : show.mass)(massG);
  if (lines.length <= LARGE)
    return (
      <>
        {lines.map((line, i) => (
          <Figure
            key={i}
            text={`${line.times > 1 ? `${line.times} × ` : ''}${text(line)}`}
            says={<Way line={line} />}
          />
        ))}
      </>
    );
  return (
    <ul className="grid gap-x-6 sm:grid-cols-2 bench:grid-cols-1">
      {lines.map((line, i) => (
        <li key={i} className="rule flex items-baseline gap-3 border-b py-1">
          <strong className="text-4xl leading-tight whitespace-nowrap tabular-nums">
            {line.times > 1 && `${line.times} × `}
            {text(line)}
          </strong>
          <span className="leading-tight">
            <Way line={line} />
          </span>
        </li>
      ))}
    </ul>
  );
}

/** What it is, and where it goes. */
function Way({ line: { name, from, to } }: { readonly line: Line }) {
  const vessel = useVesselName();
  return (
    <>
      <strong>{name}</strong>{' '}
      <span className="quiet">
        {from.kind !== 'supply' && (
          <>
            out of <VesselBadge vessel={from} /> {vessel(from)}{' '}
          </>
        )}
        into <VesselBadge vessel={to} /> {vessel(to)}
      </span>
    </>
  );
}

/** Of a jug its letter on its colour, in the line. */
function VesselBadge({ vessel }: { readonly vessel: Vessel }) {
  const { plan } = useDay().state;
  const pots = vessel.ofSecond ? (plan.second?.pots ?? []) : plan.pots;
  const pot = vessel.kind === 'pot' ? pots.find((p) => p.id === vessel.pot) : undefined;
  return pot ? <PotBadge pot={pot} size="1.35em" /> : null;
}

function Figure({ text, says }: { readonly text: string; readonly says: ReactNode }) {
  return (
    <p className="flex flex-wrap items-baseline gap-x-4">
      <strong className="text-[clamp(4rem,19vw,7.5rem)] leading-[1.08] whitespace-nowrap tabular-nums">
        {text}
      </strong>
      <span className="leading-tight">{says}</span>
    </p>
  );
}
