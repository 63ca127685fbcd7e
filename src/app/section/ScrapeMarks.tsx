import { moveEdgePoint, removeEdgePoint, setRelief, updateScrape } from '../../core/edit/scrape.ts';
import { layerUnder } from '../../core/plan/scrapes.ts';
import type { Scrape } from '../../core/plan/stepSchema.ts';
import { useDrawn } from '../parts/usePlan.ts';
import type { Scale } from './frame.ts';
import { MoveHandle } from './MoveHandle.tsx';

interface ScrapeMarksProps {
  readonly scrape: Scrape;
  readonly frame: Scale;
  /** it can be moved here */
  readonly editable: boolean;
}

/** How near a handle is taken, px. */
const GRASP = 14;

const bounded = (mm: number, low: number, high: number): number => Math.min(high, Math.max(low, mm));

/**
 * A scraper's profile over the section that it is seen in, and handles for its depth, its relief, and the
 * points of one drawn by hand.
 */
export function ScrapeMarks({ scrape, frame, editable }: ScrapeMarksProps) {
  const { plan, computed, edit, show } = useDrawn('stack');
  const pour = layerUnder(plan, scrape);
  const layer = computed.stack.layers.find((l) => l.pour.id === pour?.id);
  const { scraping, room } = layer ?? {};
  if (!scraping || !room) return null;
  const { axis, ground, pouredMm } = scraping;
  const { edge, reliefMm, depthMm } = scrape;
  const middle = axis === 0 ? room.middle.x : room.middle.y;
  const tip = pouredMm - depthMm;
  const at = (h: number, z: number): string => `${frame.x(h).toFixed(1)},${frame.y(z).toFixed(1)}`;
  const line = ground.heights.map((z, i) => at(ground.from + i * ground.step, z)).join(' ');
  const end = ground.from + ground.step * (ground.heights.length - 1);
  // what stays of the layer is given: a deeper profile goes as far down as it comes up, by its mean
  const mean = layer ? (layer.offset - tip) / reliefMm : 0.5;
  const put = (edgeNow: Scrape['edge'], relief: number, gesture: Parameters<typeof edit>[1]): void => {
    edit(
      (p) => setRelief(updateScrape(p, scrape.id, { edge: edgeNow }), scrape.id, bounded(relief, 0.5, 200)),
      gesture,
    );
  };
  const knob = (h: number, z: number, filled: boolean): React.ReactNode => (
    <>
      <circle cx={frame.x(h)} cy={frame.y(z)} r={GRASP} fill="transparent" />
      <circle
        cx={frame.x(h)}
        cy={frame.y(z)}
        r="6.5"
        fill={filled ? 'var(--color-accent)' : '#fafbf8'}
        stroke="#1c2727"
        strokeWidth="1.5"
      />
    </>
  );
  return (
    <g fill="none" strokeLinejoin="round" strokeLinecap="round">
      <g className="pointer-events-none">
        <polyline points={line} stroke="#fafbf8" strokeWidth="5" opacity="0.35" />
        <polyline points={line} stroke="#1c2727" strokeWidth="1.8" />
        <polyline
          points={`${at(ground.from, pouredMm)} ${at(end, pouredMm)}`}
          stroke="#1c2727"
          strokeWidth="1.2"
          strokeDasharray="3 4"
        />
      </g>
      {editable && edge.kind === 'repeated' && (
        <>
          <MoveHandle
            scale={frame.scale}
            at={[edge.shiftMm, tip]}
            label={`The scraper's tip, ${show.length(depthMm)} below the surface and ${show.length(edge.shiftMm)} right of the middle: arrow keys move it`}
            onMove={(shiftMm, z, gesture) =>
              put(
                { ...edge, shiftMm: bounded(shiftMm, -400, 400) },
                ((layer?.offset ?? z) - z) / Math.max(0.05, mean),
                gesture,
              )
            }
          >
            {knob(middle + edge.shiftMm, tip, true)}
          </MoveHandle>
          <MoveHandle
            scale={frame.scale}
            at={[edge.shiftMm + edge.pitchMm / 2, tip + reliefMm]}
            label={`The scraper's ridge, ${show.length(reliefMm)} above its tips, ${show.length(edge.pitchMm)} from tip to tip: arrow keys move it`}
            onMove={(across, z, gesture) =>
              put(
                { ...edge, pitchMm: bounded(2 * (across - edge.shiftMm), 3, 400) },
                (z - (layer?.offset ?? z)) / Math.max(0.05, 1 - mean),
                gesture,
              )
            }
          >
            {knob(middle + edge.shiftMm + edge.pitchMm / 2, tip + reliefMm, false)}
          </MoveHandle>
        </>
      )}
      {editable &&
        edge.kind === 'drawn' &&
        edge.points.map((p, i) => (
          <MoveHandle
            key={i}
            scale={frame.scale}
            at={[p.acrossMm, tip + reliefMm * p.part]}
            label={`Point ${i + 1} of the edge, ${show.length(p.acrossMm)} right of the middle and ${show.length(reliefMm * p.part)} above its tips: arrow keys move it${edge.points.length > 2 ? ', Delete takes it out' : ''}`}
            onMove={(acrossMm, z, gesture) =>
              edit((q) => moveEdgePoint(q, scrape.id, i, { acrossMm, part: (z - tip) / reliefMm }), gesture)
            }
            {...(edge.points.length > 2
              ? { onRemove: () => edit((q) => removeEdgePoint(q, scrape.id, i)) }
              : {})}
          >
            {knob(middle + p.acrossMm, tip + reliefMm * p.part, false)}
          </MoveHandle>
        ))}
    </g>
  );
}
