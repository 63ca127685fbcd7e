import { layOnFluid, liesOn } from '../../../core/edit/clock.ts';
import { waitFor, waitOf } from '../../../core/edit/waits.ts';
import { roughnessOf } from '../../../core/pattern/blocks.ts';
import type { Wait } from '../../../core/plan/stepSchema.ts';
import { blurPhrase } from '../../../core/setting/blur.ts';
import type { ScaledLayer } from '../../../core/weigh/scaled.ts';
import type { Gesture } from '../../../store/gesture.ts';
import { StagePicker } from '../../parts/StagePicker.tsx';
import { FigureField } from '../../parts/quantities.tsx';
import { Picker } from '../../parts/Picker.tsx';
import { useBench } from '../../parts/usePlan.ts';

const ON = {
  bears: 'what bears it',
  fluid: 'what is fluid',
  stage: 'what has thickened to',
  minutes: 'what has stood',
} as const;

type On = keyof typeof ON;

/** What a wait is first for. */
const FIRST_WAIT = {
  stage: { kind: 'stage', stage: 2 },
  minutes: { kind: 'minutes', minutes: 5 },
} as const satisfies Partial<Record<On, Wait['until']>>;

interface LiesOnProps {
  readonly layer: ScaledLayer;
}

/**
 * In a card's sentence: what a pour waits for, or that it is laid on what is fluid. A wait that it names is
 * the one that stands before it on the line.
 */
export function LiesOn({ layer }: LiesOnProps) {
  const { plan, computed, edit } = useBench('stack');
  const { pour } = layer;
  const first = computed.stack.layers.find((l) => l.room === layer.room);
  if (first?.pour.id === pour.id || !liesOn(pour)) return ',';
  const until = waitOf(plan, pour.id)?.until;
  const wait = (next: Wait['until'], gesture?: Gesture): ReturnType<typeof edit> =>
    edit((p) => waitFor(p, pour.id, next), gesture);
  const pick = (on: On): ReturnType<typeof edit> =>
    edit((p) =>
      layOnFluid(
        waitFor(p, pour.id, on === 'stage' || on === 'minutes' ? FIRST_WAIT[on] : undefined),
        [pour.id],
        on === 'fluid',
      ),
    );
  return (
    <>
      {' onto '}
      <Picker
        label="Laid on"
        value={until?.kind ?? (pour.onFluid ? 'fluid' : 'bears')}
        options={(Object.keys(ON) as On[]).map((value) => ({ value, label: ON[value] }))}
        onPick={pick}
      />
      {until?.kind === 'stage' && (
        <>
          {' '}
          <StagePicker
            label="Thickened to"
            least={0.5}
            value={until.stage}
            onPick={(stage) => wait({ kind: 'stage', stage })}
          />
        </>
      )}
      {until?.kind === 'minutes' && (
        <>
          {' '}
          <FigureField
            label="Stood for"
            suffix="min"
            value={until.minutes}
            onValue={(minutes, g) => wait({ kind: 'minutes', minutes }, g)}
          />
        </>
      )}
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
