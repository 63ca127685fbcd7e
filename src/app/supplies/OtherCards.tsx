import { OIL_LIBRARY } from '../../core/batter/oilLibrary.ts';
import { CARRIERS } from '../../core/colorant/schema.ts';
import { CARRIER_NAMES } from '../../core/colorant/dispersion.ts';
import type { CutterStock, JarStock, JugStock } from '../../core/supplies/schema.ts';
import { formatShort } from '../../core/units/format.ts';
import { lowerFirst } from '../../core/units/words.ts';
import { parseFigure } from '../../core/units/parseQuantity.ts';
import type { Seen } from '../../store/tables/kind.ts';
import { useColorants } from '../parts/colour/useLibrary.ts';
import { Picker } from '../parts/Picker.tsx';
import { QuantityField } from '../parts/QuantityField.tsx';
import { FigureField } from '../parts/quantities.tsx';
import { Measure } from './Measure.tsx';
import { SupplyCard } from './SupplyCard.tsx';
import { keepOf } from './useKeep.ts';
import { partsOf } from '../parts/partsOf.ts';

const ROW = 'grid grid-cols-2 items-start gap-3 sm:grid-cols-4';

/** What a jar is shaken up in: one of the light oils, an oil that nobody remembers, or no oil. */
const SHAKEN_IN = [
  ...OIL_LIBRARY.flatMap((o) => (o.liquid ? [{ value: o.id, label: lowerFirst(o.name) }] : [])),
  ...CARRIERS.flatMap((c) =>
    c === 'none' ? [] : [{ value: c, label: c === 'oil' ? 'an oil, not known which' : CARRIER_NAMES[c] }],
  ),
];

/** A jar of colour shaken up ready: what of, how strong, how much is left. */
export function JarCard({ seen }: { readonly seen: Seen<JarStock> }) {
  const jar = seen.value;
  const keep = keepOf(seen);
  const colorants = useColorants();
  const powder = jar.leftG / (1 + jar.carrierPerPowder);
  return (
    <SupplyCard seen={seen} name={jar.name} keep={(part, g) => keep(part, g)}>
      <div className={ROW}>
        <Picker
          label="Colorant"
          className="col-span-2"
          value={jar.colorant}
          options={[
            ...(colorants.some((c) => c.id === jar.colorant)
              ? []
              : [{ value: jar.colorant, label: 'no longer in the library' }]),
            ...colorants.map((c) => ({ value: c.id, label: c.name })),
          ]}
          onPick={(colorant) => keep({ colorant })}
        />
        <Picker
          label="In"
          className="col-span-2"
          value={jar.oil ?? jar.carrier}
          options={SHAKEN_IN}
          onPick={(value) => {
            const carrier = CARRIERS.find((c) => c === value);
            keep(carrier ? { carrier, oil: undefined } : { carrier: 'oil', oil: value });
          }}
        />
        <QuantityField
          label="Powder : carrier"
          shown={`1 : ${formatShort(jar.carrierPerPowder, 2)}`}
          parse={(text) => parseFigure(text.replace(/^\s*1\s*:\s*/, ''), '')}
          onValue={(carrierPerPowder, g) => keep({ carrierPerPowder }, g)}
        />
        <Measure label="Left in it" unit="g" value={jar.leftG} onValue={(leftG, g) => keep({ leftG }, g)} />
      </div>
      <p className="quiet text-sm">Holds {formatShort(powder, 1)} g of powder. Shake it before every use.</p>
    </SupplyCard>
  );
}

/** Jugs of one kind: what they hold, what they weigh empty, how many there are. */
export function JugCard({ seen }: { readonly seen: Seen<JugStock> }) {
  const jug = seen.value;
  const keep = keepOf(seen);
  const field = partsOf(jug, keep);
  return (
    <SupplyCard seen={seen} name={jug.name} keep={(part, g) => keep(part, g)}>
      <div className={ROW}>
        <Measure label="Holds, to the brim" unit="ml" {...field('capacityMl')} />
        <Measure label="Empty it weighs" unit="g" {...field('tareG')} />
        <FigureField label="How many" suffix="" {...field('count')} />
      </div>
    </SupplyCard>
  );
}

/** A cutter with slots or wires at an even distance. */
export function CutterCard({ seen }: { readonly seen: Seen<CutterStock> }) {
  const cutter = seen.value;
  const keep = keepOf(seen);
  const field = partsOf(cutter, keep);
  return (
    <SupplyCard seen={seen} name={cutter.name} keep={(part, g) => keep(part, g)}>
      <div className={ROW}>
        <Measure label="Slot to slot" unit="mm" {...field('pitchMm')} />
        <Measure label="A cut takes" unit="mm" {...field('kerfMm')} />
        <Measure label="Longest loaf" unit="mm" {...field('longestMm')} />
      </div>
    </SupplyCard>
  );
}
