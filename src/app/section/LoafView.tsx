import { facetsOf, type Eye } from '../../core/face/facets.ts';
import { depositColours } from '../../core/ombre/coloursOf.ts';
import { useId, useMemo, useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import { NO_COLOUR } from '../parts/ink.ts';
import { useDrawn, useColours } from '../parts/usePlan.ts';
import { useSize } from '../parts/useSize.ts';
import { highestIn } from '../../core/pattern/body.ts';
import { levelSheet } from '../../core/face/levels.ts';
import { hangs, standsOnItsTop } from '../../core/face/turnedOver.ts';
import { darker } from '../../core/face/shade.ts';
import { footOf, propsAt } from '../../core/edit/prop.ts';
import { useAppSelector } from '../../store/store.ts';
import { FreePath } from './FreePath.tsx';
import { PlanMarks } from './PlanMarks.tsx';
import { Levels } from './Levels.tsx';
import { SwirlFacet } from './SwirlFacet.tsx';
import { useRehearsed } from './useRehearsed.ts';
import { BEYOND_MM, PropsFromAbove } from './PropsFromAbove.tsx';

const FIRST: Eye = { azimuth: -38, elevation: 32 };
const PLAN: Eye = { azimuth: 0, elevation: 90 };
const LOWEST = 15;

/**
 * The loaf out of its mould, cut away where wanted. Drag it to turn it; from straight above it is the plan.
 */
export function LoafView({ above }: { readonly above: boolean }) {
  const { plan, computed, show } = useDrawn('geometry', 'fill');
  const colours = useColours();
  const chosen = useAppSelector((s) => s.desk.chosen);
  const props = chosen === null ? [] : propsAt(plan, chosen);
  const [ref, { width, height }] = useSize<HTMLDivElement>();
  const [turned, setTurned] = useState(FIRST);
  const [cutAway, setCutAway] = useState(25);
  const from = useRef<{ x: number; y: number; eye: Eye } | null>(null);
  const sliderId = useId();
  const { bodies, here, step } = useRehearsed();
  const { most } = computed.geometry;
  const heightMm = highestIn(bodies, computed.geometry.heightMm);
  const eye = above ? PLAN : turned;
  const keep = above || cutAway === 0 ? undefined : most.length / -2 + (most.length * cutAway) / 100;
  // one that was poured on a mat is looked at as it stands once it is out
  const over = !above && !here && standsOnItsTop(plan) ? computed.fill.heightMm : undefined;
  const facets = facetsOf(bodies, eye, keep, over);
  const sheets = useMemo(
    () => bodies.filter((b) => hangs(b) === (over !== undefined)).flatMap((b) => levelSheet(b) ?? []),
    [bodies, over],
  );
  const foot = footOf(plan.mould);
  // from above with room for the walls and for what stands under them
  const shown =
    props.length > 0 ? { width: foot.widthMm + 2 * BEYOND_MM, length: foot.lengthMm + 2 * BEYOND_MM } : most;
  const reach = above
    ? Math.max(shown.width / (width - 60), shown.length / (height - 90))
    : Math.hypot(most.width, most.length, heightMm) / Math.min(width - 40, (height - 90) * 1.25);
  const scale = 1 / reach;
  const lift = (heightMm / 2) * Math.cos((eye.elevation * Math.PI) / 180);
  const spot = ([x, y]: readonly [number, number]): readonly [number, number] => [
    width / 2 + x * scale,
    (height - 50) / 2 - (y - lift) * scale,
  ];
  const at = (p: readonly [number, number]): string =>
    spot(p)
      .map((v) => v.toFixed(1))
      .join(',');
  const turn = (azimuth: number, elevation: number): void => {
    setTurned({ azimuth, elevation: Math.min(85, Math.max(LOWEST, elevation)) });
  };
  const move = (event: PointerEvent): void => {
    const start = from.current;
    if (start)
      turn(
        start.eye.azimuth - (event.clientX - start.x) * 0.4,
        start.eye.elevation + (event.clientY - start.y) * 0.4,
      );
  };
  const key = (event: KeyboardEvent): void => {
    const by = { ArrowLeft: [-5, 0], ArrowRight: [5, 0], ArrowUp: [0, 5], ArrowDown: [0, -5] }[event.key];
    if (!by || above) return;
    event.preventDefault();
    turn(turned.azimuth + (by[0] ?? 0), turned.elevation + (by[1] ?? 0));
  };
  return (
    <div ref={ref} className="relative min-h-0 min-w-0 flex-1 overflow-hidden">
      {width > 0 && (
        <svg
          width={width}
          height={height - 44}
          role={above ? 'group' : 'img'}
          tabIndex={above ? undefined : 0}
          aria-label={
            above
              ? 'The loaf seen from straight above'
              : `The loaf in three dimensions, turned ${Math.round(eye.azimuth)} degrees: arrow keys turn it`
          }
          className={`absolute inset-x-0 top-0 touch-none select-none ${above ? '' : 'cursor-grab active:cursor-grabbing'}`}
          onPointerDown={(event) => {
            if (above) return;
            event.currentTarget.setPointerCapture(event.pointerId);
            from.current = { x: event.clientX, y: event.clientY, eye: turned };
          }}
          onPointerMove={move}
          onPointerUp={() => (from.current = null)}
          onKeyDown={key}
        >
          {facets.map((facet, i) => {
            const colour = colours.pours.get(facet.pourId) ?? NO_COLOUR;
            const paint = darker(colour, facet.light);
            if (facet.plane)
              return (
                <SwirlFacet
                  key={i}
                  facet={facet}
                  plane={facet.plane}
                  spot={spot}
                  scale={scale}
                  colours={depositColours(colours)}
                />
              );
            return (
              <polygon
                key={i}
                points={facet.points.map(at).join(' ')}
                fill={paint}
                stroke={paint}
                strokeWidth="0.8"
                strokeLinejoin="round"
              />
            );
          })}
          {sheets.map((sheet, i) => (
            <Levels
              key={i}
              sheet={sheet}
              colours={depositColours(colours)}
              eye={eye}
              overMm={over}
              keep={keep}
              spot={spot}
              scale={scale}
              width={width}
              height={height - 44}
            />
          ))}
          {above && <PlanMarks spot={spot} scale={scale} />}
          {above && props.length > 0 && (
            <PropsFromAbove
              props={props}
              foot={foot}
              at={(x, y) => ({ x: width / 2 + x * scale, y: (height - 50) / 2 - (y - lift) * scale })}
            />
          )}
        </svg>
      )}
      {above && width > 0 && (
        <FreePath
          width={width}
          height={height - 44}
          under={(px, py) => [(px - width / 2) / scale, ((height - 50) / 2 - py) / scale + lift]}
          spot={spot}
        />
      )}
      <div className="absolute inset-x-4 bottom-3 flex items-center justify-center gap-3 text-sm">
        {above ? (
          <span className="quiet">
            {here && `as it stands ${step?.kind === 'pour' ? 'at that pour' : 'after that'} · `}
            {show.length(most.length)} long, {show.length(most.width)} wide, near end at the foot
          </span>
        ) : (
          <>
            <label htmlFor={sliderId} className="quiet">
              Cut away from the near end
            </label>
            <input
              id={sliderId}
              type="range"
              min="0"
              max="95"
              value={cutAway}
              className="w-48 accent-(--color-accent)"
              onChange={(event) => setCutAway(Number(event.target.value))}
            />
            {over !== undefined && <span className="quiet">turned over, as it stands</span>}
            <span className="w-18 tabular-nums">{show.length((most.length * cutAway) / 100)}</span>
          </>
        )}
      </div>
    </div>
  );
}
