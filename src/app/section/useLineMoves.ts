import { canMoveLine, isUppermost, moveLine } from '../../core/edit/line.ts';
import { volumeAtLine } from '../../core/fill/lineVolume.ts';
import type { PouredLayer } from '../../core/fill/layers.ts';
import { isLevel, LEVEL } from '../../core/mould/tilt.ts';
import { selectComputed } from '../../store/computed.ts';
import { store } from '../../store/store.ts';
import { usePlan } from '../parts/usePlan.ts';

interface LineMoves {
  readonly movable: (index: number) => boolean;
  /** put the surface of pour `index` at this offset along its normal, mm */
  readonly toOffset: (index: number, offset: number, gesture: string) => void;
  /** move it by steps of the bench scale */
  readonly bySteps: (index: number, steps: number) => void;
}

const MM3_PER_ML = 1000;

/** Moving layer lines: what the pour below takes, the next unlocked pour above gives; the top line moves the fill. */
export function useLineMoves(): LineMoves {
  const { edit, computed } = usePlan();
  const isTop = (index: number): boolean => isUppermost(computed.stack.layers, index);
  const fillMoves = computed.fill.givenBatchG === undefined;

  const to = (index: number, offset: number, byMl: number | undefined, gesture: string): void => {
    // several moves can arrive before the next drawing: always start from the newest plan
    const now = selectComputed(store.getState());
    const layer = now?.stack.layers[index];
    if (!now || !layer) return;
    const { geometry, stack, fill, plan } = now;
    if (isTop(index)) {
      if (!fillMoves || !isLevel(layer.tilt)) return;
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
      return;
    }
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
    movable: (index) =>
      isTop(index)
        ? fillMoves && isLevel(computed.stack.layers[index]?.tilt ?? LEVEL)
        : canMoveLine(computed.stack.layers, index),
    toOffset: (index, offset, gesture) => {
      to(index, offset, undefined, gesture);
    },
    bySteps: (index, steps) => {
      const layer = computed.stack.layers[index];
      if (!layer) return;
      const byMl = (steps * computed.plan.units.scaleStepG) / layer.densityGMl;
      to(
        index,
        layer.offset + risePerMl(layer) * byMl,
        isTop(index) ? undefined : byMl,
        `nudge-${layer.pour.id}`,
      );
    },
  };
}

/** mm of rise for each ml, near enough for one nudge: the layer's own mean section. */
const risePerMl = (layer: PouredLayer): number =>
  layer.volumeMl > 0 ? layer.riseMm / layer.volumeMl : 1 / MM3_PER_ML;
