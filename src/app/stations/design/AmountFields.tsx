import { setAmount } from '../../../core/edit/pours.ts';
import type { ScaledLayer } from '../../../core/weigh/scaled.ts';
import type { Amount } from '../../../core/plan/stepSchema.ts';
import { fail, ok, type Result } from '../../../core/result/result.ts';
import { unitWritten, type UnitRecord } from '../../../core/units/factors.ts';
import { formatPercent } from '../../../core/units/format.ts';
import { parseQuantity, type Quantity } from '../../../core/units/parseQuantity.ts';
import { QuantityField } from '../../parts/QuantityField.tsx';
import { useBench } from '../../parts/usePlan.ts';
import type { Gesture } from '../../../store/gesture.ts';

function amountOf({ dimension, value }: Quantity): Result<Amount> {
  if (dimension === 'length') return ok({ kind: 'height', heightMm: value });
  if (dimension === 'mass') return ok({ kind: 'mass', massG: value });
  if (dimension === 'share') return ok({ kind: 'percent', percent: value });
  return fail('wrong-dimension', 'A height, a mass or a share is wanted here');
}

const amountIn =
  (bare: UnitRecord | undefined) =>
  (text: string): Result<Amount> => {
    if (!bare) return fail('no-unit', 'no unit');
    const read = parseQuantity(text, bare);
    return read.ok ? amountOf(read.value) : read;
  };

/**
 * A pour's height, mass and share: three ways to say one amount. Whichever is typed owns it from then on, and
 * each field understands all three: "425", "15 oz", "12%", "18 mm".
 */
export function AmountFields({ layer }: { readonly layer: ScaledLayer }) {
  const { plan, edit, show } = useBench();
  const put = (amount: Amount, gesture: Gesture) => edit((p) => setAmount(p, layer.pour.id, amount), gesture);
  const { units } = plan;
  return (
    <div className="grid grid-cols-3 items-start gap-2">
      <QuantityField
        label="Height"
        shown={show.length(layer.riseMm)}
        parse={amountIn(unitWritten(units.length))}
        onValue={put}
      />
      <QuantityField
        label="Mass"
        shown={show.mass(layer.pouredG)}
        parse={amountIn(unitWritten(units.mass))}
        onValue={put}
      />
      <QuantityField
        label="Share"
        shown={formatPercent(layer.sharePercent)}
        parse={amountIn(unitWritten('%'))}
        onValue={put}
      />
    </div>
  );
}
