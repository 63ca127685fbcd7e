import { addPattern, addPull, addStroke } from '../../../../core/edit/pattern.ts';
import { settleAtEnd } from '../../../../core/edit/tilt.ts';
import { addWire } from '../../../../core/edit/wire.ts';
import type { WireWay } from '../../../../core/pattern/wirePath.ts';
import type { StickPath } from '../../../../core/plan/patternSchema.ts';
import { WAY_KINDS, wayNamed } from '../../../../core/ways/ways.ts';
import { columnsIn } from '../../../../core/mould/column.ts';
import { isLevel, LEVEL } from '../../../../core/mould/tilt.ts';
import { poursOf } from '../../../../core/plan/pours.ts';
import { removeStep } from '../../../../core/edit/pours.ts';
import { useAppSelector } from '../../../../store/store.ts';
import { Picker } from '../../../parts/Picker.tsx';
import { Group } from '../../../parts/Station.tsx';
import { useBench } from '../../../parts/usePlan.ts';
import { useNewStep } from '../useNewStep.ts';
import { StickPicker } from './StickPicker.tsx';
import { WIRE_NAMES } from './WirePanel.tsx';
import { Check } from '../../../kit/Check.tsx';

const NONE = '';

/** What pushes batter aside: pours in rounds, the stick, and the column that is pulled. */
export function AddPattern() {
  const { plan, computed, edit } = useBench('fill');
  const chosen = useAppSelector((s) => s.desk.chosen);
  const columns = columnsIn(plan.mould).length;
  const pull = plan.steps.find((s) => s.kind === 'pull');
  const pours = plan.steps.some((s) => s.kind === 'pour');
  const fluid = plan.steps.find((s) => s.kind === 'tilt' && s.fluid);
  const propped = !isLevel(poursOf(plan).at(-1)?.tilt ?? LEVEL);
  const put = useNewStep();
  const add = (at: string): void => {
    const kind = WAY_KINDS.find((k) => k === at);
    if (kind) put((p) => addPattern(p, wayNamed(kind).first, chosen ?? undefined), 'plan');
  };
  const draw = (kind: StickPath['kind']): void => {
    const deep = Math.max(1, Math.round(computed.fill.heightMm));
    put((p) => addStroke(p, kind, deep), 'plan');
  };
  const wire = (way: string): void => {
    if (way !== NONE) put((p) => addWire(p, way as WireWay, computed.fill.heightMm), 'section');
  };
  return (
    <Group title="Pushed aside, the stick and the wire">
      <Picker
        label="Pour in rounds"
        value={NONE}
        options={[
          { value: NONE, label: 'which way?' },
          ...WAY_KINDS.map((at) => {
            const { name, says } = wayNamed(at).know;
            return { value: at, label: `${name}: ${says}` };
          }),
        ]}
        onPick={add}
      />
      {pours && <StickPicker label="Draw the stick through it" onPick={draw} />}
      {pours && (
        <Picker
          label="Draw a wire through it"
          value={NONE}
          options={[
            { value: NONE, label: 'which way?' },
            ...(Object.keys(WIRE_NAMES) as WireWay[]).map((way) => ({ value: way, label: WIRE_NAMES[way] })),
          ]}
          onPick={wire}
        />
      )}
      {(fluid ?? propped) && (
        <Check
          checked={fluid !== undefined}
          onCheck={() => edit((p) => (fluid ? removeStep(p, fluid.id) : settleAtEnd(p)))}
        >
          Set it level at the end, while all is fluid: it runs level
        </Check>
      )}
      {columns > 0 && pours && (
        <Check
          checked={pull !== undefined}
          onCheck={() => edit((p) => (pull ? removeStep(p, pull.id) : addPull(p)))}
        >
          {columns > 1
            ? 'Pull the columns and fill their holes once the pours are in'
            : 'Pull the column and fill its hole once the pours are in'}
        </Check>
      )}
    </Group>
  );
}
