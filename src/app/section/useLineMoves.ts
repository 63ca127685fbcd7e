import { useMemo } from 'react';
import { canMoveLine, isUppermost, moveLine } from '../../core/edit/line.ts';
import { volumeAtLine } from '../../core/fill/lineVolume.ts';
import type { PouredLayer } from '../../core/fill/layers.ts';
import { isLevel, LEVEL } from '../../core/mould/tilt.ts';
import type { Plan } from '../../core/plan/planSchema.ts';
import type { Computed } from '../../core/computed/compute.ts';
import { selectBench } from '../../store/computed.ts';
import type { Gesture } from '../../store/gesture.ts';
import { startOf } from '../../store/planSlice.ts';
import { store } from '../../store/store.ts';
import { type Edit, useBenchEdit } from '../parts/usePlan.ts';

interface LineMoves {
  /** put the surface of pour `index` at this offset along its normal, mm */
  readonly toOffset: (index: number, offset: number, gesture: Gesture) => void;
  /** move it by steps of the bench scale */
  readonly bySteps: (index: number, steps: number, gesture: Gesture) => void;
}

const MM3_PER_ML = 1000;

type Lines = Pick<Computed, 'stack' | 'fill'>;

const isTop = (computed: Lines, index: number): boolean => isUppermost(computed.stack.layers, index);

/** The top line moves the fill, unless the mould takes what a batch of given size leaves. */
const fillMoves = (computed: Lines): boolean => computed.fill.givenBatchG === undefined;

/** Which lines can be moved. */
export const movableLines =
  (computed: Lines) =>
  (index: number): boolean =>
    isTop(computed, index)
      ? fillMoves(computed) && isLevel(computed.stack.layers[index]?.tilt ?? LEVEL)
      : canMoveLine(computed.stack.layers, index);

/** The fill as high as the uppermost line is dragged. */
function fillUpTo(edit: Edit, now: Computed, layer: PouredLayer, offset: number, gesture: Gesture): void {
  if (!fillMoves(now) || !isLevel(layer.tilt)) return;
  const { geometry, plan } = now;
  const low = layer.offset - layer.riseMm;
  const height = Math.min(geometry.heightMm, Math.max(offset, low + 0.5));
  const { to: way } = plan.fill;
  const round = (x: number): number => Math.round(x * 10) / 10;
  edit(
    (p) => ({
      ...p,
      fill: {
        ...p.fill,
        to:
          way.kind === 'height'
            ? { kind: 'height', heightMm: round(height) }
            : { kind: 'headspace', headspaceMm: round(geometry.heightMm - height) },
      },
    }),
    gesture,
  );
}

/**
 * The moves of lines, which read what there is at the moment they are made: the same object while the plan
 * changes.
 */
function lineMoves(edit: Edit): LineMoves {
  let drag: { readonly gesture: Gesture; readonly whole: Plan; readonly from: Computed } | undefined;
  /** the layers as they were when the drag began; for steps by a key, as they are */
  const startingFrom = (gesture: Gesture): Computed | undefined => {
    const state = store.getState();
    if (drag?.gesture === gesture && drag.whole === startOf(state.plan, gesture.id)) return drag.from;
    // several moves can arrive before the next drawing: always the newest plan
    const now = selectBench(state);
    const whole = state.plan.present;
    if (now && whole && gesture.builds === 'from-start') drag = { gesture, whole, from: now };
    return now;
  };
  const to = (index: number, offset: number, byMl: number | undefined, gesture: Gesture): void => {
    const now = startingFrom(gesture);
    const layer = now?.stack.layers[index];
    if (!now || !layer) return;
    if (isTop(now, index)) {
      fillUpTo(edit, now, layer, offset, gesture);
      return;
    }
    const { stack, fill } = now;
    const growth = byMl ?? volumeAtLine(stack.layers, index, offset) - layer.volumeMl;
    edit(
      (p) =>
        moveLine(p, {
          layers: stack.layers,
          index,
          byMm: offset - layer.offset,
          byMl: growth,
          fillMl: fill.volumeMl,
        }),
      gesture,
    );
  };
  return {
    toOffset: (index, offset, gesture) => {
      to(index, offset, undefined, gesture);
    },
    bySteps: (index, steps, gesture) => {
      const now = selectBench(store.getState());
      const layer = now?.stack.layers[index];
      if (!now || !layer) return;
      const byMl = (steps * now.plan.units.scaleStepG) / layer.densityGMl;
      to(index, layer.offset + risePerMl(layer) * byMl, isTop(now, index) ? undefined : byMl, gesture);
    },
  };
}

/**
 * Moving layer lines: what the pour below takes, the next unlocked pour above gives; the top line moves the
 * fill.
 */
export function useLineMoves(): LineMoves {
  const edit = useBenchEdit();
  return useMemo(() => lineMoves(edit), [edit]);
}

/** mm of rise for each ml, near enough for one nudge: the layer's own mean section. */
const risePerMl = (layer: PouredLayer): number =>
  layer.volumeMl > 0 ? layer.riseMm / layer.volumeMl : 1 / MM3_PER_ML;
