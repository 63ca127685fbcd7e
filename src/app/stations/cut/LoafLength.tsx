import { bandFill } from '../../parts/ink.ts';
import { useMemo } from 'react';
import type { Bar } from '../../../core/cut/bars.ts';
import type { Piece } from '../../../core/mould/pieces.ts';
import { faceAt } from '../../../core/face/face.ts';
import { depositColours } from '../../../core/ombre/coloursOf.ts';
import { bodiesOf } from '../../../core/pattern/blocks.ts';
import { highestIn, isOpen, roomOf } from '../../../core/pattern/body.ts';
import { Swirls } from '../../section/Swirls.tsx';
import { SEEN, useBench, useColours } from '../../parts/usePlan.ts';
import { useSize } from '../../parts/useSize.ts';

const HEIGHT = 168;
const TALL = 260;
const PAD = 14;

interface Band {
  readonly from: number;
  readonly to: number;
}

/** What of a piece is no bar, in its own length: the two trims with what is left over. */
function offcutsOf(piece: Piece, last: number, trimStart: number): readonly Band[] {
  return [
    { from: 0, to: Math.min(trimStart, piece.lengthMm) },
    { from: last, to: piece.lengthMm },
  ];
}

/**
 * The loaf from the side with its cuts, what is trimmed or left over set pale. Pieces that a lengthwise wall
 * parts lie behind each other and are cut alike: the first is drawn. A tube that stands is cut across its
 * height.
 */
export function LoafLength() {
  const { plan, computed, show } = useBench('cut', ...SEEN);
  const colours = useColours();
  const [ref, { width }] = useSize<HTMLDivElement>();
  const { cut, geometry } = computed;
  const bodies = useMemo(() => bodiesOf(computed), [computed]);
  const face = useMemo(() => {
    return computed.geometry.rooms.flatMap((room) =>
      faceAt(
        bodies.filter((b) => roomOf(b) === room),
        'side',
        room.middle.x,
        computed.geometry.most.width,
      ),
    );
  }, [computed, bodies]);
  const stands = cut.pieces[0]?.axis === 'z';
  const height = stands ? TALL : HEIGHT;
  const long = geometry.most.length;
  const scale = Math.min((width - 2 * PAD) / long, (height - 46) / highestIn(bodies, geometry.heightMm));
  const x = (mm: number): number => width / 2 + mm * scale;
  const y = (z: number): number => height - 30 - z * scale;
  const top = y(computed.fill.heightMm);
  const shown = cut.pieces.filter((p) => p.leftMm === cut.pieces[0]?.leftMm);
  // as the bars are counted: each place from the left
  const numbersOf = (place: Bar): string => {
    const before = cut.bars.slice(0, cut.bars.indexOf(place)).reduce((s, b) => s + b.strips, 0);
    const here = cut.bars
      .filter((b) => b.piece === place.piece && b.startMm === place.startMm)
      .reduce((s, b) => s + b.strips, 0);
    return here > 1 ? `${before + 1}–${before + here}` : `${before + 1}`;
  };
  const along = (piece: Piece, mm: number): number => (stands ? y(piece.fromMm + mm) : x(piece.fromMm + mm));
  return (
    <div ref={ref}>
      {width > 0 && (
        <svg
          width={width}
          height={height}
          role="img"
          aria-label={`The ${stands ? 'tube' : 'loaf'} from the side: ${cut.bars.length} ${stands ? 'discs up it' : 'cuts of bars along it'}`}
        >
          {face.map((band, i) =>
            band.swirl && isOpen(band.swirl.content) ? null : (
              <path
                key={`${band.pourId} ${i}`}
                d={`M${band.outline.map((p) => `${x(p.h)},${y(p.z)}`).join('L')}Z`}
                fill={bandFill(band, colours.pours.get(band.pourId))}
                stroke="#1c272755"
                strokeWidth="0.6"
              />
            ),
          )}
          <Swirls face={face} frame={{ scale, x, y }} colours={depositColours(colours)} />
          {!stands &&
            plan.cut.onTop?.atMm.map((at, i) => (
              <rect
                key={i}
                x={x((shown[0]?.fromMm ?? 0) + at - (plan.cut.onTop?.longMm ?? 0) / 2)}
                y={top - 8}
                width={(plan.cut.onTop?.longMm ?? 0) * scale}
                height="8"
                rx="3"
                fill="var(--color-accent)"
                opacity="0.75"
              />
            ))}
          {shown.map((piece) => {
            const own = cut.bars.filter((b) => b.piece === piece);
            // the slices of a block lie in one place
            const bars = own.filter((b, i) => own.findIndex((o) => o.startMm === b.startMm) === i);
            const slices = own.flatMap((b) =>
              b.slice?.by === 'floor' ? [{ bar: b, zs: [b.slice.fromMm, b.slice.toMm] }] : [],
            );
            const last = bars.at(-1)?.endMm ?? plan.cut.trimStartMm;
            return (
              <g key={piece.fromMm}>
                {offcutsOf(piece, last, plan.cut.trimStartMm).map(({ from, to }) => {
                  const [a, b] = [along(piece, from), along(piece, to)];
                  return (
                    <rect
                      key={from}
                      x={stands ? x(0 - long / 2) - 1 : a}
                      y={stands ? b : top - 1}
                      width={stands ? long * scale + 2 : Math.max(0, b - a)}
                      height={stands ? Math.max(0, a - b) : y(0) - top + 2}
                      fill="var(--color-base-100)"
                      opacity="0.72"
                    />
                  );
                })}
                {bars
                  .flatMap((b) => [b.startMm, b.endMm])
                  .map((mm) => (
                    <path
                      key={mm}
                      d={
                        stands
                          ? `M${x(0 - long / 2) - 9},${along(piece, mm)}H${x(long / 2) + 5}`
                          : `M${along(piece, mm)},${top - 9}V${y(0) + 5}`
                      }
                      stroke="var(--color-base-content)"
                      strokeWidth="1.1"
                    />
                  ))}
                {slices.flatMap(({ bar, zs }) =>
                  zs
                    .filter((z) => z > 0.1)
                    .map((z) => (
                      <path
                        key={`${bar.startMm} ${z}`}
                        d={`M${along(piece, bar.startMm)},${y(z)}H${along(piece, bar.endMm)}`}
                        stroke="var(--color-base-content)"
                        strokeWidth="1.1"
                      />
                    )),
                )}
                {bars.map((b) => (
                  <text
                    key={b.startMm}
                    x={stands ? x(long / 2) + 18 : along(piece, (b.startMm + b.endMm) / 2)}
                    y={stands ? along(piece, (b.startMm + b.endMm) / 2) + 4 : y(0) + 20}
                    textAnchor="middle"
                    fontSize="12.5"
                    fill="var(--color-base-content)"
                  >
                    {numbersOf(b)}
                  </text>
                ))}
              </g>
            );
          })}
          {cut.remainderMm > 1 && !stands && cut.pieces.length === 1 && (
            <text x={x(long / 2)} y={top - 14} textAnchor="end" fontSize="12" fill="var(--color-accent)">
              {show.length(cut.remainderMm)} over
            </text>
          )}
        </svg>
      )}
    </div>
  );
}
