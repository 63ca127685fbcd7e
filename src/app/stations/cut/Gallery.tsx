import { Download } from 'lucide-react';
import { useMemo } from 'react';
import { singleBars, type SingleBar } from '../../../core/cut/singleBars.ts';
import { fileStem } from '../../../core/exchange/writePlan.ts';
import { sideOfBar, sidesOf } from '../../../core/face/barFaces.ts';
import { scaleFor, type FramedFace } from '../../../core/face/framed.ts';
import { depositColours } from '../../../core/ombre/coloursOf.ts';
import { useGrowing } from '../../parts/useGrowing.ts';
import { SEEN, useBench, useColours, usePresent } from '../../parts/usePlan.ts';
import { Group } from '../../parts/Station.tsx';
import { BarFace } from '../../section/BarFace.tsx';
import { sideWord, whereFrom } from '../../section/barWords.ts';
import { saveContactSheet } from './contactSheet.ts';
import { Button } from '../../kit/Button.tsx';

/** More bars than this are not looked at one by one. */
const MOST = 60;

/** So many are drawn at once. */
const AT_ONCE = 12;
/** Of a loaf with more layers than so many fewer bars are. */
const FEW_LAYERS = 12;

/** The place of a face, px. */
const WIDE = 64;
const HIGH = 62;

/**
 * Every bar with all its sides: those from the ends and the walls, and the one from the middle, are named.
 */
export function Gallery() {
  const { name } = usePresent();
  const { computed, show } = useBench('cut', ...SEEN);
  const colours = useColours();
  const all = useMemo(() => singleBars(computed), [computed]);
  const bars = all.slice(0, MOST);
  const layers = Math.max(1, computed.stack.layers.length);
  const shown = useGrowing(bars.length, Math.max(1, Math.round(AT_ONCE * Math.min(1, FEW_LAYERS / layers))));
  const [first] = bars;
  if (!first) return null;
  const sides = sidesOf(first);
  // slices of blocks, and bars of what is left cut across, have other sides
  const kinds = bars.map((bar) => sides.map((side) => sideWord(bar, side)).join(', '));
  const words = [...new Set(kinds)].join(', or ');
  const facesOf = (bar: SingleBar): readonly FramedFace[] =>
    sides.map((side) => sideOfBar(computed, bar, side));
  const scaleOf = (face: FramedFace): number => scaleFor(face, WIDE - 4, HIGH - 4);
  // all alike: as the first, the last and the middle one have room
  const told = [first, bars.at(-1) ?? first, bars.find((b) => b.centre) ?? first];
  const scale = Math.min(...told.flatMap(facesOf).map(scaleOf));
  const title = (i: number): string => {
    const bar = bars[i];
    if (!bar) return '';
    return [`${i + 1}`, whereFrom(bar), show.mass(bar.massG)].filter((s) => s !== '').join(' · ');
  };
  return (
    <Group
      title="Every bar"
      aside={
        <Button
          icon={Download}
          onClick={() =>
            void saveContactSheet(bars.map(facesOf), depositColours(colours), {
              title: name,
              words,
              captionOf: title,
              stem: fileStem(`${name} bars`, 'bars'),
            })
          }
        >
          On one sheet, .png
        </Button>
      }
    >
      <p className="quiet text-sm">
        {all.length > MOST && `The first ${MOST} of ${all.length}. `}
        Each by its {words}; a far face as it is seen with the bar turned round.
      </p>
      <ol className="grid grid-cols-[repeat(auto-fill,minmax(13.5rem,1fr))] gap-x-4 gap-y-3">
        {bars.slice(0, shown).map((bar, i) => (
          <li
            key={i}
            className={`grid gap-1 rounded-box border p-1.5 ${bar.centre ? 'border-accent' : 'border-base-300'}`}
          >
            <span className="flex items-end justify-between gap-1">
              {facesOf(bar).map((face, k) => (
                <BarFace
                  key={sides[k]}
                  face={face}
                  top={sides[k] === 'top'}
                  width={WIDE}
                  height={HIGH}
                  scale={Math.min(scale, scaleOf(face))}
                />
              ))}
            </span>
            <span className="text-sm leading-tight">{title(i)}</span>
          </li>
        ))}
      </ol>
    </Group>
  );
}
