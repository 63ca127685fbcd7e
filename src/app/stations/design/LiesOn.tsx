import { layOnFluid, liesOn } from '../../../core/edit/clock.ts';
import { roughnessOf } from '../../../core/pattern/blocks.ts';
import { blurPhrase } from '../../../core/setting/blur.ts';
import type { ScaledLayer } from '../../../core/weigh/scaled.ts';
import { Picker } from '../../parts/Picker.tsx';
import { useBench } from '../../parts/usePlan.ts';

const ON = [
  { value: 'bears', label: 'what bears it' },
  { value: 'fluid', label: 'what is fluid' },
] as const;

interface LiesOnProps {
  readonly layer: ScaledLayer;
}

/**
 * In a card's sentence: whether a pour waits until what is below bears it, or is laid on it while it is
 * fluid.
 */
export function LiesOn({ layer }: LiesOnProps) {
  const { computed, edit } = useBench('stack');
  const { pour } = layer;
  const first = computed.stack.layers.find((l) => l.room === layer.room);
  if (first?.pour.id === pour.id || !liesOn(pour)) return ',';
  return (
    <>
      {' onto '}
      <Picker
        label="Laid on"
        value={pour.onFluid ? 'fluid' : 'bears'}
        options={ON}
        onPick={(on) => edit((p) => layOnFluid(p, [pour.id], on === 'fluid'))}
      />
      ,
    </>
  );
}

/** How rough its border is where it is laid on what is fluid. */
export function BorderOn({ layer }: LiesOnProps) {
  const { plan, computed, show } = useBench('stack');
  const own = computed.stack.layers.find((l) => l.pour.id === layer.pour.id);
  if (!layer.pour.onFluid || !liesOn(layer.pour)) return null;
  const { roughMm, below } = own
    ? roughnessOf({ plan, stack: computed.stack }, own)
    : { roughMm: 0, below: undefined };
  return (
    <p className="quiet text-sm" role="status">
      {below
        ? `No wait: the border is ${blurPhrase(roughMm, show.length)}.`
        : 'What is below has set by then: nothing there is fluid.'}
    </p>
  );
}
