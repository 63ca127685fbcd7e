import type { MouldFacts } from '../../core/advice/facts.ts';
import { faceAt } from '../../core/face/face.ts';
import { downToMat } from '../../core/mould/mat.ts';
import { joined, viewPolygon } from '../../core/mould/sectionView.ts';
import { depositColours } from '../../core/ombre/coloursOf.ts';
import { highestIn, isOpen, type Body } from '../../core/pattern/body.ts';
import type { StepId } from '../../core/validate/ids.ts';
import { bandFill, inkOn, NO_COLOUR } from '../parts/ink.ts';
import { useColours } from '../parts/usePlan.ts';
import { Bench } from './Bench.tsx';
import { drawnWallMm, fitFrame, middle, pathOf } from './frame.ts';
import { MatShape } from './MatShape.tsx';
import { Swirls } from './Swirls.tsx';
import { Walls } from './Walls.tsx';

const WIDE = 320;
const HIGH = 240;
const MARGINS = { left: 6, right: 6, top: 6, bottom: 6 };
/** Under a tilted mould there is the bench, and what holds it up. */
const ON_BENCH = { left: 12, right: 12, top: 10, bottom: 14 };

interface MouldDrawingProps {
  readonly of: Pick<MouldFacts, 'plan' | 'geometry' | 'stack'>;
  /** what is in it */
  readonly bodies: readonly Body[];
  readonly letters: boolean;
  /** as it stands on the bench, by so much turned; absent: out of it, level */
  readonly rollDeg?: number;
  /** what is poured now, with a line round it */
  readonly chosen?: StepId | undefined;
  readonly columnStands?: boolean;
  /** in words, where it is to be read out */
  readonly label?: string;
}

/** A mould end-on with what is in it, as wide as its place. Nothing in it can be moved. */
export function MouldDrawing({
  of: { plan, geometry, stack },
  bodies,
  letters,
  rollDeg,
  chosen,
  columnStands,
  label,
}: MouldDrawingProps) {
  const colours = useColours();
  const highMm = highestIn(bodies, geometry.heightMm);
  const degrees = rollDeg ?? 0;
  const high = rollDeg === undefined ? Math.min(HIGH, (WIDE * highMm) / geometry.most.width + 20) : HIGH;
  const frame = fitFrame({
    wide: geometry.most.width,
    high: highMm,
    wall: drawnWallMm(plan.mould),
    under: plan.mould.mat?.thicknessMm ?? 0,
    width: WIDE,
    height: high,
    margins: rollDeg === undefined ? MARGINS : ON_BENCH,
    stands: 'foot',
    degrees,
  });
  const { room } = stack.layers[0] ?? { room: geometry.rooms[0] };
  const at = room.middle.y;
  const face = faceAt(bodies, 'section', at, plan.cut.thicknessMm);
  const blocked = columnStands
    ? geometry.rooms.flatMap((r) => joined(r.blocked.map((b) => viewPolygon(b, 'section', at))))
    : [];
  return (
    <svg
      viewBox={`0 0 ${WIDE} ${high}`}
      className="block w-full"
      {...(label === undefined ? { 'aria-hidden': true } : { role: 'img', 'aria-label': label })}
    >
      {rollDeg !== undefined && (
        <Bench
          frame={frame}
          half={geometry.floor.width / 2 + drawnWallMm(plan.mould)}
          wall={drawnWallMm(plan.mould)}
          prop={degrees === 0 ? undefined : ''}
        />
      )}
      <g transform={degrees === 0 ? undefined : `rotate(${0 - degrees} ${frame.centre.x} ${frame.centre.y})`}>
        <Walls
          mould={plan.mould}
          outline={downToMat(viewPolygon(geometry.solid, 'section', at), plan.mould.mat)}
          frame={frame}
        />
        <MatShape mould={plan.mould} floor={geometry.floor} view="section" frame={frame} />
        {face.map((band, i) => {
          const colour = colours.pours.get(band.pourId) ?? NO_COLOUR;
          const here = middle(band.outline);
          const isChosen = band.pourId === chosen && !band.swirl;
          return (
            <g key={`${band.pourId} ${i}`}>
              {!(band.swirl && isOpen(band.swirl.content)) && (
                <path
                  d={pathOf(band.outline, frame)}
                  fill={bandFill(band, colour)}
                  stroke={isChosen ? 'var(--color-base-content)' : '#1c272788'}
                  strokeWidth={isChosen ? 2.4 : 0.8}
                />
              )}
              {letters && !band.swirl && band.outline.length > 0 && (
                <text
                  x={frame.x(here.h)}
                  y={frame.y(here.z) + 4}
                  textAnchor="middle"
                  fontSize="11"
                  fontWeight="700"
                  fill={inkOn(colour)}
                >
                  {band.nth + 1} {band.letters}
                </text>
              )}
            </g>
          );
        })}
        <Swirls face={face} frame={frame} colours={depositColours(colours)} />
        {blocked.map((polygon, i) => (
          <path key={i} d={pathOf(polygon, frame)} fill="var(--plastic)" stroke="var(--plastic-line)" />
        ))}
      </g>
    </svg>
  );
}
