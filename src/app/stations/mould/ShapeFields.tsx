import type { Shape } from '../../../core/mould/schema.ts';
import type { MouldGeometry } from '../../../core/mould/geometry.ts';
import { Picker } from '../../parts/Picker.tsx';
import { LengthField, MassField } from '../../parts/quantities.tsx';
import { useBench } from '../../parts/usePlan.ts';
import type { Gesture } from '../../../store/gesture.ts';
import { standsOnEnd } from '../../../core/mould/round.ts';

type Form = Exclude<Shape['kind'], 'tube'> | 'tube standing' | 'tube lying';

const FORMS: readonly { readonly value: Form; readonly label: string }[] = [
  { value: 'box', label: 'box: loaf or slab' },
  { value: 'tapered', label: 'tapered: narrower at the floor' },
  { value: 'half-round', label: 'half-round trough' },
  { value: 'tube standing', label: 'tube, standing' },
  { value: 'tube lying', label: 'tube, lying' },
  { value: 'measured', label: 'odd shape, measured by water' },
];

const LABELS: Readonly<Record<string, string>> = {
  lengthMm: 'Length',
  widthMm: 'Width',
  heightMm: 'Rim height',
  rimLengthMm: 'Length at the rim',
  rimWidthMm: 'Width at the rim',
  floorLengthMm: 'Length at the floor',
  floorWidthMm: 'Width at the floor',
  diameterMm: 'Diameter',
};

const formOf = (shape: Shape): Form => (shape.kind === 'tube' ? `tube ${shape.stands}` : shape.kind);

/** A shape of another form about as large as the mould is now. */
function asForm(form: Form, { most, heightMm, rimVolumeMl }: MouldGeometry, linerMm: number): Shape {
  const mm = (x: number): number => Math.round(x * 10) / 10;
  const [length, width, height] = [
    mm(most.length + 2 * linerMm),
    mm(most.width + 2 * linerMm),
    mm(heightMm + linerMm),
  ];
  switch (form) {
    case 'box':
      return { kind: 'box', lengthMm: length, widthMm: width, heightMm: height };
    case 'tapered':
      return {
        kind: 'tapered',
        floorLengthMm: length,
        floorWidthMm: width,
        rimLengthMm: length,
        rimWidthMm: width,
        heightMm: height,
      };
    case 'half-round':
      return { kind: 'half-round', lengthMm: length, diameterMm: width };
    case 'tube standing':
      return { kind: 'tube', stands: 'standing', lengthMm: Math.max(height, length), diameterMm: width };
    case 'tube lying':
      return { kind: 'tube', stands: 'lying', lengthMm: length, diameterMm: width };
    case 'measured':
      return { kind: 'measured', waterG: Math.round(rimVolumeMl), lengthMm: length, heightMm: height };
  }
}

/** Every inside size of the shape, by name. */
export function ShapeFields() {
  const { plan, computed, edit, show } = useBench('geometry');
  const { shape } = plan.mould;
  const put = (next: Shape, gesture?: Gesture) =>
    edit((p) => ({ ...p, mould: { ...p.mould, shape: next } }), gesture);
  const sizes = Object.entries(shape).filter((e): e is [string, number] => e[0].endsWith('Mm'));
  return (
    <>
      <Picker
        label="Shape"
        value={formOf(shape)}
        options={FORMS}
        onPick={(form) => put(asForm(form, computed.geometry, plan.mould.linerMm))}
      />
      <div className={`grid gap-3 ${sizes.length === 3 ? 'grid-cols-3' : 'grid-cols-2'}`}>
        {shape.kind === 'measured' && (
          <MassField
            label="Water it holds"
            value={shape.waterG}
            onValue={(waterG, g) => put({ ...shape, waterG }, g)}
          />
        )}
        {sizes.map(([key, value]) => (
          <LengthField
            key={key}
            label={standsOnEnd(shape) && key === 'lengthMm' ? 'Height' : (LABELS[key] ?? key)}
            value={value}
            onValue={(mm, g) => put({ ...shape, [key]: mm }, g)}
          />
        ))}
      </div>
      {shape.kind === 'measured' && (
        <p className="quiet text-sm">
          1 g of water is 1 ml. Taken as an even box of that volume,{' '}
          {show.length(computed.geometry.most.width)} wide: an assumed section, so heights are estimates.
        </p>
      )}
    </>
  );
}
