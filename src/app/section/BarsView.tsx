import { ChevronLeft, ChevronRight, Download } from 'lucide-react';
import { useMemo, useState } from 'react';
import { singleBars } from '../../core/cut/singleBars.ts';
import { sideOfBar, sidesOf, type Side } from '../../core/face/barFaces.ts';
import { fileStem } from '../../core/exchange/writePlan.ts';
import { depositColours } from '../../core/ombre/coloursOf.ts';
import { Choice } from '../kit/Choice.tsx';
import { SEEN, useBench, useColours, usePresent } from '../parts/usePlan.ts';
import { useSize } from '../parts/useSize.ts';
import { BarFace } from './BarFace.tsx';
import { sideWord, whereFrom } from './barWords.ts';
import { saveFacePicture } from './saveFacePicture.ts';
import { Button } from '../kit/Button.tsx';
import { IconButton } from '../kit/IconButton.tsx';

/** So many of the bars round the one that is looked at are drawn small. */
const NEIGHBOURS = 41;

/**
 * Walk the bars, piece by piece, from the near end or the foot: a slope along the loaf makes every bar
 * another.
 */
export function BarsView() {
  const { name } = usePresent();
  const { computed, show } = useBench('cut', ...SEEN);
  const colours = useColours();
  const [ref, { width, height }] = useSize<HTMLDivElement>();
  const [walked, setWalked] = useState(0);
  const [wanted, setWanted] = useState<Side>('near');
  const { cut } = computed;
  const bars = useMemo(() => singleBars(computed), [computed]);
  const count = bars.length;
  const now = Math.min(walked, count - 1);
  const bar = bars[now];
  if (!bar) return <p className="quiet p-8">There are no bars yet: see Cut.</p>;
  const sides = sidesOf(bar);
  const side = sides.includes(wanted) ? wanted : 'near';
  const face = sideOfBar(computed, bar, side);
  const step = (by: number): void => {
    setWalked(Math.min(count - 1, Math.max(0, now + by)));
  };
  const where = whereFrom(bar);
  const from = Math.max(0, Math.min(now - Math.floor(NEIGHBOURS / 2), count - NEIGHBOURS));
  return (
    <div ref={ref} className="flex min-h-0 flex-1 flex-col items-center gap-2 p-4">
      <div className="flex items-center gap-3">
        <IconButton
          icon={ChevronLeft}
          tone="plain"
          disabled={now === 0}
          onClick={() => step(-1)}
          label="Bar before"
        />
        <p role="status" className="min-w-52 text-center leading-tight">
          <strong>
            Bar {now + 1} of {count}
          </strong>
          {cut.pieces.length > 1 && `, piece ${cut.pieces.indexOf(bar.place.piece) + 1}`}, ≈{' '}
          {show.mass(bar.massG)}
          <span className="quiet block text-sm">{where}</span>
        </p>
        <IconButton
          icon={ChevronRight}
          tone="plain"
          disabled={now === count - 1}
          onClick={() => step(1)}
          label="Bar after"
        />
      </div>
      <div className="flex flex-wrap items-center justify-center gap-2">
        <Choice
          legend="Side of the bar"
          hideLegend
          value={side}
          options={sides.map((value) => ({ value, label: sideWord(bar, value).replace(' face', '') }))}
          onChoose={setWanted}
        />
        <Button
          icon={Download}
          onClick={() =>
            void saveFacePicture(
              face,
              depositColours(colours),
              fileStem(`${name} bar ${now + 1} ${sideWord(bar, side)}`, 'bar'),
            )
          }
        >
          Picture, .png
        </Button>
      </div>
      {width > 0 && (
        <BarFace face={face} top={side === 'top'} width={width - 40} height={Math.max(80, height - 210)} />
      )}
      <ul className="flex max-w-full gap-1 overflow-x-auto pb-1">
        {bars.slice(from, from + NEIGHBOURS).map((b, k) => {
          const i = from + k;
          return (
            <li key={i}>
              <button
                type="button"
                className={`cursor-pointer rounded-field border-2 ${i === now ? 'border-accent' : 'border-transparent'}`}
                aria-label={`Bar ${i + 1}`}
                aria-pressed={i === now}
                onClick={() => setWalked(i)}
              >
                <BarFace face={sideOfBar(computed, b, side)} top={side === 'top'} width={50} height={44} />
              </button>
            </li>
          );
        })}
      </ul>
    </div>
  );
}
