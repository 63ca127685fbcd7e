import * as v from 'valibot';
import {
  COLORANT_KINDS,
  CARRIERS,
  colorantSchema,
  KIND_NAMES,
  type Colorant,
  type Nature,
} from '../../core/colorant/schema.ts';
import { STARTER_COLORANTS } from '../../core/colorant/starters.ts';
import { faultOf } from '../../core/exchange/schemaFaults.ts';
import type { Fault } from '../../core/result/result.ts';
import type { Gesture } from '../../store/gesture.ts';
import { colorantKeeper } from '../../store/keeping/library.ts';
import type { Seen } from '../../store/tables/kind.ts';
import { ColourPicker } from '../parts/colour/ColourPicker.tsx';
import { Picker } from '../parts/Picker.tsx';
import { FigureField, PercentField } from '../parts/quantities.tsx';
import { Group } from '../parts/Station.tsx';
import { TextField } from '../parts/TextField.tsx';
import { DoseStrip } from './DoseStrip.tsx';
import { PaleBar } from './PaleBar.tsx';
import { Button } from '../kit/Button.tsx';
import { Check } from '../kit/Check.tsx';
import { partsOf } from '../parts/partsOf.ts';

/** Everything that is known of one colorant. A change is kept at once; plans keep the copies they have. */
export function ColorantForm({ seen }: { readonly seen: Seen<Colorant> }) {
  const colorant = seen.value;
  const { nature } = colorant;
  const keep = (change: (c: Colorant) => Colorant, gesture?: Gesture): Fault | undefined => {
    const next = change(colorantKeeper.startOf(colorant.id, gesture) ?? colorant);
    const read = v.safeParse(colorantSchema, next);
    if (!read.success) return faultOf(read.issues[0]);
    void colorantKeeper.change(colorant.id, seen, read.output, gesture);
    return undefined;
  };
  const shape = (change: (n: Nature) => Nature, gesture?: Gesture): Fault | undefined =>
    keep((c) => ({ ...c, nature: change(c.nature) }), gesture);
  const put = (part: Partial<Nature>, gesture?: Gesture): Fault | undefined =>
    shape((n) => ({ ...n, ...part }), gesture);
  const starter = STARTER_COLORANTS.find((c) => c.id === colorant.id);
  const field = partsOf(nature, put);
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-5 p-5">
      <div className="flex items-end gap-4">
        <ColourPicker
          label={`Colour of ${colorant.name} in soap`}
          value={nature.colour}
          onPick={(colour, g) => put({ colour }, g)}
          className="size-20 shrink-0 cursor-pointer rounded-box border border-black/30"
          style={{ background: nature.colour }}
        >
          {null}
        </ColourPicker>
        <TextField
          label="Name"
          className="flex-1"
          value={colorant.name}
          onValue={(name, g) => keep((c) => ({ ...c, name }), g)}
        />
        <Picker
          label="Kind"
          className="w-52"
          value={nature.kind}
          options={COLORANT_KINDS.map((value) => ({ value, label: KIND_NAMES[value] }))}
          onPick={(kind) => put({ kind })}
        />
      </div>
      <Group title="Colour in soap">
        <p className="quiet text-sm leading-snug">
          What this colorant makes of plain soap at one dose, cured and not gelled: pick it from a photograph
          of a test bar. All other doses and mixes are worked out from it.
        </p>
        <div className="flex items-end gap-3">
          <FigureField label="At a dose of" className="w-32" suffix="g/kg" {...field('doseGPerKg')} />
          <div className="grid gap-0.5">
            <span className="quiet text-sm">In plain soap of</span>
            <ColourPicker
              label="Colour of the plain soap"
              value={nature.base}
              onPick={(base, g) => put({ base }, g)}
              className="h-9 w-24 cursor-pointer rounded-field border border-black/30"
              style={{ background: nature.base }}
            >
              {null}
            </ColourPicker>
          </div>
          <DoseStrip nature={nature} />
        </div>
        <PaleBar nature={nature} onKeep={shape} />
      </Group>
      <Group title="Weighing and dispersing">
        <div className="grid grid-cols-3 items-start gap-3">
          <FigureField label="A level teaspoon weighs" suffix="g" {...field('gPerTsp')} />
          <Picker
            label="Disperse in"
            value={nature.carrier}
            options={CARRIERS.map((value) => ({ value, label: value === 'none' ? 'nothing, dry' : value }))}
            onPick={(carrier) => put({ carrier })}
          />
          <FigureField label="Carrier for a gram" suffix="ml/g" {...field('carrierMlPerG')} />
          <FigureField label="Usual at most" suffix="g/kg" {...field('usualGPerKg')} />
          <FigureField
            label="In stock"
            suffix="g"
            value={colorant.stockG ?? 0}
            onValue={(stockG, g) => keep((c) => ({ ...c, stockG }), g)}
          />
        </div>
      </Group>
      <Group title="How it behaves">
        <div className="grid grid-cols-3 items-start gap-3">
          <PercentField label="Paled by a hot oven" {...field('palesPercent')} />
          <PercentField label="Faded by the cure" {...field('fadesPercent')} />
        </div>
        <div className="flex flex-wrap gap-x-6 gap-y-2">
          <Check checked={nature.bleeds} onCheck={(bleeds) => put({ bleeds })}>
            bleeds
          </Check>
          <Check checked={nature.speckles} onCheck={(speckles) => put({ speckles })}>
            speckles
          </Check>
          <Check
            checked={nature.morph !== undefined}
            onCheck={(morphs) =>
              shape(({ morph: _morph, ...rest }) =>
                morphs ? { ...rest, morph: { colour: '#8a8f7a', returns: true } } : rest,
              )
            }
          >
            morphs in fresh batter
          </Check>
          {nature.morph && (
            <>
              <Check
                checked={nature.morph.returns}
                onCheck={(returns) => shape((n) => (n.morph ? { ...n, morph: { ...n.morph, returns } } : n))}
              >
                comes back within a day
              </Check>
              <ColourPicker
                label="Colour in fresh batter"
                value={nature.morph.colour}
                onPick={(colour, g) =>
                  shape((n) => (n.morph ? { ...n, morph: { ...n.morph, colour } } : n), g)
                }
                className="h-7 w-16 cursor-pointer rounded-field border border-black/30"
                style={{ background: nature.morph.colour }}
              >
                {null}
              </ColourPicker>
            </>
          )}
        </div>
      </Group>
      <p className="quiet text-sm leading-snug">
        {starter
          ? 'One of the starters: its figures are recalled or invented. A test bar of your own and the supplier’s sheet come first.'
          : 'One of your own.'}{' '}
        Plans keep their own copy: a change here changes no plan made before.
      </p>
      <Button
        className="justify-self-start"
        onClick={() => void colorantKeeper.change(colorant.id, seen, null)}
      >
        {starter ? 'Back to the starter’s figures' : 'Remove from the library'}
      </Button>
    </div>
  );
}
