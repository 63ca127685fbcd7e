import { faceAt } from '../../core/face/face.ts';
import { depositColours } from '../../core/ombre/coloursOf.ts';
import { bodiesOf } from '../../core/pattern/blocks.ts';
import { viewPolygon } from '../../core/mould/sectionView.ts';
import type { MouldFacts } from '../../core/advice/facts.ts';
import { bandFill, inkOn, NO_COLOUR } from '../parts/ink.ts';
import { SEEN, useDrawn, useColours } from '../parts/usePlan.ts';
import { drawnWallMm, fitFrame, middle, pathOf } from './frame.ts';
import { highestIn, isOpen } from '../../core/pattern/body.ts';
import { Swirls } from './Swirls.tsx';
import { downToMat } from '../../core/mould/mat.ts';
import { MatShape } from './MatShape.tsx';
import { Walls } from './Walls.tsx';

const WIDE = 320;
const HIGH = 240;
const MARGINS = { left: 6, right: 6, top: 6, bottom: 6 };

interface LoafDrawingProps {
  readonly letters: boolean;
  /** another mould than the one on the bench */
  readonly of?: MouldFacts;
}

/** The loaf end-on, as wide as its place: for paper and for a strip. Nothing in it can be moved. */
export function LoafDrawing({ letters, of }: LoafDrawingProps) {
  const { computed } = useDrawn(...SEEN);
  const colours = useColours();
  const facts = of ?? computed;
  const { plan, geometry, stack } = facts;
  const bodies = bodiesOf(facts);
  const highMm = highestIn(bodies, geometry.heightMm);
  const high = Math.min(HIGH, (WIDE * highMm) / geometry.most.width + 20);
  const frame = fitFrame({
    wide: geometry.most.width,
    high: highMm,
    wall: drawnWallMm(plan.mould),
    under: plan.mould.mat?.thicknessMm ?? 0,
    width: WIDE,
    height: high,
    margins: MARGINS,
    stands: 'foot',
  });
  const { room } = stack.layers[0] ?? { room: geometry.rooms[0] };
  const at = room.middle.y;
  const face = faceAt(bodies, 'section', at, plan.cut.thicknessMm);
  return (
    <svg viewBox={`0 0 ${WIDE} ${high}`} className="block w-full" aria-hidden="true">
      <Walls
        mould={plan.mould}
        outline={downToMat(viewPolygon(geometry.solid, 'section', at), plan.mould.mat)}
        frame={frame}
      />
      <MatShape mould={plan.mould} floor={geometry.floor} view="section" frame={frame} />
      {face.map((band, i) => {
        const colour = colours.pours.get(band.pourId) ?? NO_COLOUR;
        const here = middle(band.outline);
        return (
          <g key={`${band.pourId} ${i}`}>
            {!(band.swirl && isOpen(band.swirl.content)) && (
              <path
                d={pathOf(band.outline, frame)}
                fill={bandFill(band, colour)}
                stroke="#1c272788"
                strokeWidth="0.8"
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
    </svg>
  );
}
