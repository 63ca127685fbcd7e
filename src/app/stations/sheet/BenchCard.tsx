import type { CSSProperties, ReactNode } from 'react';
import { lettersOf } from '../../../core/fill/layers.ts';
import { mouldNames } from '../../../core/plan/moulds.ts';
import { potsIn } from '../../../core/plan/sources.ts';
import { stagePhrase } from '../../../core/setting/stage.ts';
import { formatClock, formatMinutes } from '../../../core/units/format.ts';
import type { StepId } from '../../../core/validate/ids.ts';
import { lineTimes } from '../../dripline/lineTimes.ts';
import { markWords } from '../../dripline/marks.tsx';
import { PotBadge } from '../../parts/PotBadge.tsx';
import { roundsWord } from '../../parts/roundsWord.ts';
import { useComputed, usePresent } from '../../parts/usePlan.ts';
import { useShow } from '../../parts/useShow.ts';
import { PrintButton } from './PrintButton.tsx';
import { Refused } from './Refused.tsx';
import { usePaper } from './usePaper.ts';

/** Of a page of paper the lines may take, mm; and no line is higher than this. */
const ROOM_MM = 225;
const HIGHEST_MM = 15;

/** More lines than this stand in two columns. */
const ONE_COLUMN = 32;

/** A line of a mould takes less room among others than one by itself. */
const SEVERAL = 0.7;

/** A shorter wait is not told, min. */
const WORTH_MIN = 0.5;

interface Line {
  readonly key: string;
  readonly letters: ReactNode;
  /** how many moulds are told of, each on a line of its own */
  readonly moulds: number;
  readonly grams: ReactNode;
  readonly thickness: string;
  readonly minute: string;
  /** what is no pour is told in words across the line */
  readonly words?: string;
}

/**
 * The order of the day on one page for the bench, in type that is read at arm's length: the sheet has the
 * rest.
 */
export function BenchCard() {
  const { name } = usePresent();
  const { plan, moulds, clock, weights } = useComputed();
  const show = useShow(plan.units);
  usePaper(`${name}: card for the bench`);
  if (!weights) return <Refused title="Card for the bench" />;
  const times = clock && lineTimes(plan.steps, clock);
  const names = mouldNames(plan);
  const layersOf = (id: StepId) =>
    moulds.flatMap((m) =>
      m.stack.layers.flatMap((layer) =>
        layer.pour.id === id ? [{ layer, use: m.use, mould: names.get(m.use.id) ?? '' }] : [],
      ),
    );
  const lines = plan.steps.flatMap((step): Line[] => {
    const time = times?.get(step.id);
    const minute = time ? formatClock(time.atMin) : '';
    const wait =
      time && time.waitMin >= WORTH_MIN
        ? [{ ...blank(`${step.id} wait`), words: `wait ${formatMinutes(time.waitMin)}` }]
        : [];
    if (step.kind !== 'pour') {
      const { word, says } = markWords(step);
      return [{ ...blank(step.id), minute, words: `${word}: ${says}` }, ...wait];
    }
    const laid = layersOf(step.id);
    const pots = potsIn(plan, step);
    const rounds = step.pattern?.rounds.length ?? 1;
    const grams = laid.map(({ layer, use, mould }) => (
      <span key={use.id} className="block">
        <strong className="whitespace-nowrap">
          {use.copies > 1 && `${use.copies} × `}
          {show.mass(layer.pouredG)}
        </strong>
        <span className="text-[0.6em]">
          {moulds.length > 1 && ` ${mould}`}
          {rounds > 1 && ` in ${roundsWord(step)}`}
        </span>
      </span>
    ));
    return [
      {
        key: step.id,
        letters: (
          <span
            className="inline-flex flex-wrap gap-[0.15em]"
            aria-label={laid[0] && lettersOf(laid[0].layer)}
          >
            {pots.map((pot, i) => (
              <PotBadge key={i} pot={pot} {...(pots.length === 1 ? { pour: step.id } : {})} size="1.35em" />
            ))}
          </span>
        ),
        moulds: laid.length,
        grams,
        thickness: [...new Set(pots.map((p) => stagePhrase(p.stage)))].join(', '),
        minute,
      },
      ...wait,
    ];
  });
  const rows = lines.reduce((sum, line) => sum + Math.max(1, line.moulds * SEVERAL), 0);
  const columns = rows > ONE_COLUMN ? 2 : 1;
  const high = Math.min(HIGHEST_MM, (ROOM_MM * columns) / Math.max(1, rows));
  return (
    <div className="grid gap-4 p-6 print:gap-2 print:p-0">
      <header className="flex items-start justify-between gap-4">
        <div>
          <h2 className="text-2xl">{name}</h2>
          <p>
            <strong>{show.mass(weights.batterG)}</strong> of batter, <strong>{show.lye(weights.lyeG)}</strong>{' '}
            lye, <strong>{show.mass(weights.waterG)}</strong> water
          </p>
        </div>
        <PrintButton />
      </header>
      <ol
        aria-label="The order of the day"
        className="bench-card"
        style={{ columnCount: columns, '--line': `${high.toFixed(2)}mm` } as CSSProperties}
      >
        {lines.map((line) => (
          <li
            key={line.key}
            className="rule grid grid-cols-[minmax(1.6em,auto)_minmax(min-content,1fr)_minmax(0,auto)_3.2em] items-center gap-x-[0.5em] border-b break-inside-avoid"
          >
            {line.words === undefined ? (
              <>
                {line.letters}
                <span className="leading-tight">{line.grams}</span>
                <span className="text-[0.6em] leading-tight">{line.thickness}</span>
              </>
            ) : (
              <span className="col-span-3 text-[0.6em] leading-tight">{line.words}</span>
            )}
            <span className="text-right tabular-nums">{line.minute}</span>
          </li>
        ))}
      </ol>
      <p className="text-sm">
        Letters, grams, how thick it is poured, and the minute. Goggles and gloves; the sheet has the rest.
      </p>
    </div>
  );
}

const blank = (key: string): Line => ({
  key,
  letters: null,
  moulds: 1,
  grams: '',
  thickness: '',
  minute: '',
});
