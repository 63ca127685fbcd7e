import { surfaceAcross, viewPolygon } from '../../core/mould/sectionView.ts';
import { useAppDispatch, useAppSelector } from '../../store/store.ts';
import { pourChosen } from '../../store/deskSlice.ts';
import { inkOn } from '../parts/ink.ts';
import { usePlan } from '../parts/usePlan.ts';
import { useSize } from '../parts/useSize.ts';
import { Callouts } from './Callouts.tsx';
import { fitFrame, middle, pathOf, WALL_MM } from './frame.ts';
import { Line } from './Line.tsx';
import { Ruler } from './Ruler.tsx';
import { useLineMoves } from './useLineMoves.ts';
import { Walls } from './Walls.tsx';

/** Narrower than this, layers are named by their letters alone, px. */
const CALLOUTS_FROM = 500;
const CALLOUT_WIDTH = 192;

/** The loaf seen end-on, to scale: the mould filled as planned. Lines can be moved where `lines` is set. */
export function Section({ lines }: { readonly lines: boolean }) {
  const { plan, computed, show } = usePlan();
  const dispatch = useAppDispatch();
  const chosen = useAppSelector((s) => s.desk.chosen);
  const moves = useLineMoves();
  const [ref, { width, height }] = useSize<HTMLDivElement>();
  const { geometry, stack, fill } = computed;
  const { inside } = geometry;

  const named = width >= CALLOUTS_FROM;
  const margins = { left: 58, right: named ? CALLOUT_WIDTH + 44 : 22, top: 40, bottom: 46 };
  const wall = WALL_MM[plan.mould.material];
  const frame = fitFrame(inside, wall, width, height, margins);
  const outline = viewPolygon(geometry.solid, 'section');
  const half = Math.max(inside.floor.width, inside.rim.width) / 2 + wall;
  const wallX = frame.x(half);
  const choose = (id: string): void => {
    dispatch(pourChosen(id));
  };
  const potOf = (id: string) => plan.pots.find((p) => p.id === id);
  const gapMm = inside.heightMm - (stack.layers.at(-1)?.leftMm ?? 0);

  return (
    <div ref={ref} className="relative min-h-0 min-w-0 flex-1 overflow-hidden">
      {width > 0 && (
        <svg
          width={width}
          height={height}
          role="group"
          aria-label={`Section of the loaf: ${stack.layers.length} layers, ${show.mass(stack.layers.reduce((s, l) => s + l.massG, 0))}`}
          className="absolute inset-0 select-none"
        >
          <Walls mould={plan.mould} inside={inside} frame={frame} />
          <Ruler frame={frame} x={frame.x(-half) - 8} heightMm={inside.heightMm} unit={plan.units.length} />
          {stack.layers.map((layer) => {
            const polygon = viewPolygon(layer.solid, 'section');
            const pot = potOf(layer.pour.pot);
            if (polygon.length === 0 || !pot) return null;
            const at = middle(polygon);
            const tall = layer.riseMm * frame.scale;
            return (
              <g
                key={layer.pour.id}
                className="cursor-pointer"
                onClick={() => {
                  choose(layer.pour.id);
                }}
              >
                <path d={pathOf(polygon, frame)} fill={pot.colour} stroke="#1c272755" strokeWidth="0.7" />
                {tall > 13 && (
                  <text
                    x={frame.x(at.h)}
                    y={frame.y(at.z) + 6}
                    textAnchor="middle"
                    fontSize={Math.min(19, tall * 0.85)}
                    fontWeight="700"
                    fill={inkOn(pot.colour)}
                  >
                    {pot.letter}
                  </text>
                )}
                {layer.pour.id === chosen && (
                  <path
                    d={pathOf(polygon, frame)}
                    fill="none"
                    stroke="var(--color-base-content)"
                    strokeWidth="2.2"
                    strokeLinejoin="round"
                  />
                )}
              </g>
            );
          })}
          {lines &&
            stack.layers.map((layer, i) => {
              const ends = surfaceAcross(outline, 'section', layer.up, layer.offset);
              const pot = potOf(layer.pour.pot);
              if (!ends || !pot || !moves.movable(i)) return null;
              return (
                <Line
                  key={layer.pour.id}
                  label={`Top of pour ${i + 1}, ${pot.letter} ${pot.name}`}
                  valueText={`${show.length(layer.leftMm)} high, ${show.mass(layer.massG)}`}
                  value={layer.leftMm}
                  max={inside.heightMm}
                  x0={frame.x(ends[0].h)}
                  x1={frame.x(ends[1].h)}
                  y0={frame.y(ends[0].z)}
                  y1={frame.y(ends[1].z)}
                  chosen={layer.pour.id === chosen}
                  onStart={() => {
                    choose(layer.pour.id);
                  }}
                  onDrag={(py, gesture) => {
                    moves.toOffset(i, frame.toZ(py) * layer.up[2], gesture);
                  }}
                  onNudge={(by) => {
                    moves.bySteps(i, by);
                  }}
                />
              );
            })}
          <path
            d={`M${frame.x(-half) - 4},${frame.y(fill.heightMm)}H${wallX + 4}`}
            stroke="var(--color-accent)"
            strokeDasharray="5 4"
            strokeWidth="1.2"
            className="pointer-events-none"
          />
          <text
            x={frame.x(-half)}
            y={Math.min(frame.y(fill.heightMm), frame.y(inside.heightMm)) - 10}
            fontSize="13"
            fill="var(--color-accent)"
          >
            fill to {show.length(fill.heightMm)}
          </text>
          <text
            x={frame.x(0)}
            y={frame.y(-wall) + 26}
            textAnchor="middle"
            fontSize="13.5"
            className="quiet"
            fill="currentColor"
          >
            {show.length(inside.floor.width)} inside
            {plan.mould.linerMm > 0 && ` · liner ${show.length(plan.mould.linerMm)} a side`}
            {gapMm > 0 && ` · ${show.length(gapMm)} to the rim`}
          </text>
          {named && (
            <Callouts
              layers={stack.layers}
              frame={frame}
              wallX={wallX}
              left={width - CALLOUT_WIDTH - 14}
              right={width - 14}
              height={height}
              chosen={chosen}
              onChoose={choose}
            />
          )}
        </svg>
      )}
    </div>
  );
}
