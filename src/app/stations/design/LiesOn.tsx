import { layOnFluid, liesOn } from '../../../core/edit/clock.ts';
import { roughnessOf } from '../../../core/pattern/blocks.ts';
import { blurPhrase } from '../../../core/setting/blur.ts';
import type { ScaledLayer } from '../../../core/weigh/scaled.ts';
import { Choice } from '../../kit/Choice.tsx';
import { useBench } from '../../parts/usePlan.ts';

const ON = [
  { value: 'bears', label: 'what bears it' },
  { value: 'fluid', label: 'what is fluid' },
] as const;

/**
 * Whether a pour waits until what is below bears it, or is laid on it while it is fluid, and how rough their
 * border is then.
 */
export function LiesOn({ layer }: { readonly layer: ScaledLayer }) {
  const { plan, computed, edit, show } = useBench('geometry', 'stack');
  const { pour } = layer;
  const first = computed.stack.layers.find((l) => l.room === layer.room);
  if (first?.pour.id === pour.id || !liesOn(pour)) return null;
  const own = computed.stack.layers.find((l) => l.pour.id === pour.id);
  const { roughMm, below } = own ? roughnessOf({ plan, stack: computed.stack }, own) : { roughMm: 0 };
  return (
    <div className="grid gap-1">
      <Choice
        legend="Laid on"
        value={pour.onFluid ? 'fluid' : 'bears'}
        options={ON}
        onChoose={(on) => edit((p) => layOnFluid(p, [pour.id], on === 'fluid'))}
      />
      {pour.onFluid && (
        <p className="quiet text-sm" role="status">
          {below
            ? `No wait: the border is ${blurPhrase(roughMm, show.length)}.`
            : 'What is below has set by then: nothing there is fluid.'}
        </p>
      )}
    </div>
  );
}
