import { faceAt } from '../../core/face/face.ts';
import { depositColours } from '../../core/ombre/coloursOf.ts';
import { highestIn, isOpen, type Body } from '../../core/pattern/body.ts';
import type { StepId } from '../../core/validate/ids.ts';
import type { ScaledLayer } from '../../core/weigh/scaled.ts';
import { useCallback, useMemo } from 'react';
import { propsAt } from '../../core/edit/prop.ts';
import type { MouldGeometry } from '../../core/mould/geometry.ts';
import { isCorner } from '../../core/mould/propped.ts';
import { propsFor } from '../../core/mould/props.ts';
import { UNDER_WORDS } from '../../core/mould/propWords.ts';
import type { Plan } from '../../core/plan/planSchema.ts';
import { formatLength } from '../../core/units/format.ts';
import { joined, surfaceAcross, viewPolygon, type View } from '../../core/mould/sectionView.ts';
import { spillOffset } from '../../core/mould/spill.ts';
import { isLevel, LEVEL } from '../../core/mould/tilt.ts';
import { pourChosen } from '../../store/deskSlice.ts';
import { useAppDispatch, useAppSelector } from '../../store/store.ts';
import { bandFill } from '../parts/ink.ts';
import { useDrawn, useColours, useMouldUse } from '../parts/usePlan.ts';
import { useSize } from '../parts/useSize.ts';
import { Bench } from './Bench.tsx';
import { Callouts } from './Callouts.tsx';
import { Dividers } from './Dividers.tsx';
import { drawnWallMm, fitFrame, pathOf, wideIn } from './frame.ts';
import { LayerShape } from './LayerShape.tsx';
import { Swirls } from './Swirls.tsx';
import { Ruler } from './Ruler.tsx';
import { ScrapeMarks } from './ScrapeMarks.tsx';
import { SpillLine, SpillWords } from './Spill.tsx';
import { SurfaceLines } from './SurfaceLines.tsx';
import { TroubleMarks } from './TroubleMarks.tsx';
import { TiltHandle } from './TiltHandle.tsx';
import { useRehearsed } from './useRehearsed.ts';
import { downToMat } from '../../core/mould/mat.ts';
import { MatShape } from './MatShape.tsx';
import { Walls } from './Walls.tsx';
import { WireMarks } from './WireMarks.tsx';

/** Narrower than this, layers are named by their letters alone, px. */
const CALLOUTS_FROM = 500;
const CALLOUT_WIDTH = 192;

/**
 * What holds the mould up as it is seen in this view: what was put under it, or the prop that its angle
 * needs.
 */
function propWords(plan: Plan, here: ScaledLayer, view: View, geometry: MouldGeometry): string | undefined {
  const seen = view === 'section' ? /edge/ : /end/;
  const put = propsAt(plan, here.pour.id);
  if (put.length > 0) {
    const mine = put.filter((p) => isCorner(p.under) || seen.test(p.under));
    return mine.length === 0
      ? undefined
      : mine
          .map(
            (p) =>
              `${p.name ?? 'prop'} ${formatLength(p.heightMm, 'mm')}${isCorner(p.under) ? `, ${UNDER_WORDS[p.under].replace('the ', '')}` : ''}`,
          )
          .join(' on ');
  }
  const prop = propsFor(plan.mould, geometry, here.tilt).find((p) => seen.test(p.under));
  return prop && `prop ${formatLength(prop.heightMm, 'mm')}`;
}

/** Pours of a block, but the last: its surface is the block's. What was scraped has none that is straight. */
const pushedIn = (bodies: readonly Body[]): ReadonlySet<StepId> =>
  new Set(
    bodies.flatMap((b) => {
      if (b.kind === 'layer') return [];
      const { layers, content } = b.block;
      return (isOpen(content) ? layers : layers.slice(0, -1)).map((l) => l.pour.id);
    }),
  );

interface FlatViewProps {
  readonly view: View;
  /** lines and tilt can be moved */
  readonly editable: boolean;
  /** what goes wrong as it is timed is marked */
  readonly timed: boolean;
}

/** A drawing lower or narrower than this has its margins for itself, px. */
const LOW = 230;
const NARROW = 330;

/**
 * The loaf cut through its middle, end-on or from the side, to scale. With "at this pour" the mould stands at
 * that pour's tilt, filled up to it, and its surface is level on screen.
 */
export function FlatView({ view, editable: wanted, timed }: FlatViewProps) {
  const { plan, computed, show } = useDrawn('geometry', 'stack', 'fill');
  const colours = useColours();
  const { follows } = useMouldUse();
  const editable = wanted && !follows;
  const dispatch = useAppDispatch();
  const { chosen, moment } = useAppSelector((s) => s.desk);
  const [ref, { width, height }] = useSize<HTMLDivElement>();
  const { geometry, stack, fill } = computed;
  const { mould } = plan;

  const { step, index, here, layers, bodies, columnStands } = useRehearsed();
  const tilt = here?.tilt ?? LEVEL;
  const degrees = view === 'section' ? tilt.rollDeg : tilt.pitchDeg;
  const named = width >= CALLOUTS_FROM;
  // there is no room for what is said under it
  const low = height < LOW || width < NARROW;
  const wall = drawnWallMm(mould);
  const under = mould.mat?.thicknessMm ?? 0;
  const wide = wideIn(geometry, view);
  const high = highestIn(bodies, geometry.heightMm);
  // the same while a line is dragged: what stands in it is not drawn again
  const frame = useMemo(
    () =>
      fitFrame({
        wide,
        high,
        wall,
        under,
        width,
        height,
        margins: {
          left: 58,
          right: named ? CALLOUT_WIDTH + 44 : 22,
          top: low ? 22 : 40,
          bottom: low ? 8 : 52,
        },
        degrees,
      }),
    [wide, high, wall, under, width, height, named, low, degrees],
  );
  // cut through the middle of the chosen layer's compartment
  const room = (stack.layers[index] ?? stack.layers[0])?.room ?? geometry.rooms[0];
  const at = view === 'section' ? room.middle.y : room.middle.x;
  const outline = useMemo(() => viewPolygon(geometry.solid, view, at), [geometry, view, at]);
  const inside = useMemo(() => downToMat(outline, mould.mat), [outline, mould.mat]);
  const blocked = geometry.rooms.flatMap((r) => joined(r.blocked.map((b) => viewPolygon(b, view, at))));
  const face = faceAt(bodies, view, at, plan.cut.thicknessMm);
  const half = wide / 2 + wall;
  const choose = useCallback(
    (id: string): void => {
      dispatch(pourChosen(id));
    },
    [dispatch],
  );
  const rightEnd = (l: ScaledLayer): number => (view === 'section' ? l.rightMm : l.farMm);
  const gapMm = geometry.heightMm - fill.heightMm;
  const spill =
    here && !isLevel(tilt)
      ? surfaceAcross(outline, view, here.up, spillOffset(here.room, here.up), at)
      : undefined;

  return (
    <div ref={ref} className="relative min-h-0 min-w-0 flex-1 overflow-hidden">
      {width > 0 && (
        <svg
          width={width}
          height={height}
          role="group"
          aria-label={`${view === 'section' ? 'Section' : 'Side'} of the loaf: ${layers.length} layers, ${show.mass(layers.reduce((s, l) => s + l.pouredG, 0))}`}
          className="absolute inset-0 select-none"
        >
          {here && !isLevel(tilt) && (
            <Bench
              frame={frame}
              half={(view === 'section' ? geometry.floor.width : geometry.floor.length) / 2 + wall}
              wall={wall}
              prop={propWords(plan, here, view, geometry)}
            />
          )}
          <g
            transform={
              degrees === 0 ? undefined : `rotate(${0 - degrees} ${frame.centre.x} ${frame.centre.y})`
            }
          >
            <Walls mould={mould} outline={inside} frame={frame} />
            <MatShape mould={mould} floor={geometry.floor} view={view} frame={frame} />
            <Ruler
              frame={frame}
              x={frame.x(-half) - 8}
              heightMm={geometry.heightMm}
              unit={plan.units.length}
            />
            {face.map((band) => (
              <LayerShape
                key={`${band.pourId}${band.swirl?.behind ? ' behind' : band.swirl ? ' inside' : ''}`}
                band={band}
                colour={bandFill(band, colours.pours.get(band.pourId))}
                frame={frame}
                chosen={band.pourId === chosen && !band.swirl}
                bare={band.swirl !== undefined}
                onChoose={choose}
              />
            ))}
            <Swirls face={face} frame={frame} colours={depositColours(colours)} />
            {editable && (
              <SurfaceLines layers={layers} pushed={pushedIn(bodies)} view={view} at={at} frame={frame} />
            )}
            <Dividers mould={mould} geometry={geometry} view={view} frame={frame} />
            {columnStands &&
              blocked.map((polygon, i) => (
                <path
                  key={i}
                  d={pathOf(polygon, frame)}
                  fill="var(--plastic)"
                  fillOpacity={moment === 'pour' ? 0.95 : 0.35}
                  stroke="var(--plastic-line)"
                  strokeDasharray={moment === 'pour' ? undefined : '4 4'}
                  className="pointer-events-none"
                />
              ))}
            {timed && <TroubleMarks layers={layers} view={view} at={at} frame={frame} />}
            {spill && <SpillLine ends={spill} frame={frame} />}
            {!here && (
              <path
                d={`M${frame.x(-half) - 4},${frame.y(fill.heightMm)}H${frame.x(half) + 4}`}
                stroke="var(--color-accent)"
                strokeDasharray="5 4"
                strokeWidth="1.2"
                className="pointer-events-none"
              />
            )}
            {step?.kind === 'wire' && (step.lies === 'lengthwise') === (view === 'section') && (
              <WireMarks wire={step} frame={frame} editable={editable} />
            )}
            {step?.kind === 'scrape' && (step.pulled === 'lengthwise') === (view === 'section') && (
              <ScrapeMarks scrape={step} frame={frame} editable={editable} />
            )}
            {editable && here && step?.kind === 'pour' && (
              <TiltHandle
                frame={frame}
                view={view}
                pourId={here.pour.id}
                nth={index + 1}
                tilt={tilt}
                at={{ h: (degrees < 0 ? -1 : 1) * half, z: geometry.heightMm }}
              />
            )}
          </g>
          {spill && <SpillWords ends={spill} frame={frame} leansLeft={degrees < 0} />}
          {!here && (
            <text
              x={frame.x(-half)}
              y={Math.min(frame.y(fill.heightMm), frame.y(geometry.heightMm)) - 10}
              fontSize="13"
              stroke="var(--color-base-200)"
              strokeWidth="4"
              paintOrder="stroke"
              fill="var(--color-accent)"
            >
              fill to {show.length(fill.heightMm)}
            </text>
          )}
          {!low && (
            <text
              x={frame.centre.x}
              y={height - 16}
              textAnchor="middle"
              fontSize="13.5"
              className="quiet"
              fill="currentColor"
            >
              {here ? (
                `as it stands ${step?.kind === 'pour' ? `at pour ${index + 1}` : 'after that'}`
              ) : (
                <>
                  {show.length(view === 'section' ? geometry.floor.width : geometry.floor.length)} inside
                  {mould.linerMm > 0 && ` · liner ${show.length(mould.linerMm)} a side`}
                  {gapMm > 0 && ` · ${show.length(gapMm)} to the rim`}
                </>
              )}
            </text>
          )}
          {named && (
            <Callouts
              layers={layers}
              startOf={(l) =>
                frame.turned({ h: half, z: Math.max(1, rightEnd(l) - Math.min(l.riseMm, rightEnd(l)) / 2) })
              }
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
