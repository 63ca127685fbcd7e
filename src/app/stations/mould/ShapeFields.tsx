import type { Shape } from '../../../core/mould/schema.ts';
import { Choice } from '../../parts/Choice.tsx';
import { LengthField } from '../../parts/quantities.tsx';
import { usePlan } from '../../parts/usePlan.ts';

/** The same mould said as the other shape: a box becomes a taper with equal floor and rim, and back. */
function asKind(shape: Shape, kind: Shape['kind']): Shape {
  if (shape.kind === kind) return shape;
  return shape.kind === 'box'
    ? {
        kind: 'tapered',
        floorLengthMm: shape.lengthMm,
        floorWidthMm: shape.widthMm,
        rimLengthMm: shape.lengthMm,
        rimWidthMm: shape.widthMm,
        heightMm: shape.heightMm,
      }
    : { kind: 'box', lengthMm: shape.rimLengthMm, widthMm: shape.rimWidthMm, heightMm: shape.heightMm };
}

export function ShapeFields() {
  const { plan, edit } = usePlan();
  const { shape } = plan.mould;
  const put = (next: Shape, gesture?: string) =>
    edit((p) => ({ ...p, mould: { ...p.mould, shape: next } }), gesture);
  const height = (
    <LengthField
      label="Rim height"
      value={shape.heightMm}
      onValue={(heightMm, g) => put({ ...shape, heightMm }, g)}
    />
  );
  return (
    <>
      <Choice
        legend="Shape"
        value={shape.kind}
        options={[
          { value: 'box', label: 'box' },
          { value: 'tapered', label: 'tapered' },
        ]}
        onChoose={(kind) => {
          put(asKind(shape, kind));
        }}
      />
      {shape.kind === 'box' ? (
        <div className="grid grid-cols-3 gap-3">
          <LengthField
            label="Length"
            value={shape.lengthMm}
            onValue={(lengthMm, g) => put({ ...shape, lengthMm }, g)}
          />
          <LengthField
            label="Width"
            value={shape.widthMm}
            onValue={(widthMm, g) => put({ ...shape, widthMm }, g)}
          />
          {height}
        </div>
      ) : (
        <div className="grid grid-cols-2 gap-3">
          <LengthField
            label="Length at the rim"
            value={shape.rimLengthMm}
            onValue={(rimLengthMm, g) => put({ ...shape, rimLengthMm }, g)}
          />
          <LengthField
            label="Width at the rim"
            value={shape.rimWidthMm}
            onValue={(rimWidthMm, g) => put({ ...shape, rimWidthMm }, g)}
          />
          <LengthField
            label="Length at the floor"
            value={shape.floorLengthMm}
            onValue={(floorLengthMm, g) => put({ ...shape, floorLengthMm }, g)}
          />
          <LengthField
            label="Width at the floor"
            value={shape.floorWidthMm}
            onValue={(floorWidthMm, g) => put({ ...shape, floorWidthMm }, g)}
          />
          {height}
        </div>
      )}
    </>
  );
}
