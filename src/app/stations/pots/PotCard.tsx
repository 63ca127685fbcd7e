import { Plus, Trash2, X } from 'lucide-react';
import { freshId } from '../../../core/edit/freshId.ts';
import { isPoured, removePot, setPotShare, updatePot } from '../../../core/edit/pots.ts';
import type { Pot } from '../../../core/plan/planSchema.ts';
import { STAGES } from '../../../core/setting/stage.ts';
import { Picker } from '../../parts/Picker.tsx';
import { inkOn } from '../../parts/ink.ts';
import { TextField } from '../../parts/TextField.tsx';
import { FigureField, PercentField } from '../../parts/quantities.tsx';
import { usePlan } from '../../parts/usePlan.ts';

/** One pot: letter, colour, name, its share of what is poured, its colorants. */
export function PotCard({ pot }: { readonly pot: Pot }) {
  const { plan, computed, edit, show } = usePlan();
  const { layers } = computed.stack;
  const weight = computed.weights?.pots.find((w) => w.pot.id === pot.id);
  const poured = isPoured(plan, pot.id);
  const share = layers.filter((l) => l.pour.pot === pot.id).reduce((s, l) => s + l.sharePercent, 0);
  const change = (part: Partial<Omit<Pot, 'id'>>, gesture?: string) =>
    edit((p) => updatePot(p, pot.id, part), gesture);
  const colorant = (id: string, part: Partial<Pot['colorants'][number]>, gesture: string) =>
    change({ colorants: pot.colorants.map((c) => (c.id === id ? { ...c, ...part } : c)) }, gesture);
  return (
    <li className="grid gap-2 rounded-box border border-base-300 p-3" aria-label={`Pot ${pot.letter}`}>
      <div className="flex items-end gap-3">
        <label
          className="relative grid size-13 shrink-0 cursor-pointer place-items-center rounded-full border border-black/30 text-xl font-bold has-focus-visible:outline-2 has-focus-visible:outline-offset-2 has-focus-visible:outline-accent"
          style={{ background: pot.colour, color: inkOn(pot.colour) }}
          title="Change the colour"
        >
          {pot.letter}
          <input
            type="color"
            className="absolute inset-0 cursor-pointer opacity-0"
            aria-label={`Colour of pot ${pot.letter}`}
            value={pot.colour}
            onChange={(event) => {
              change({ colour: event.target.value.toLowerCase() }, `colour-${pot.id}`);
            }}
          />
        </label>
        <TextField
          label="Letter"
          className="w-16"
          inputClass="text-center"
          value={pot.letter}
          onValue={(letter, g) => change({ letter: letter.trim().toUpperCase() }, g)}
        />
        <TextField
          label="Name"
          className="flex-1"
          value={pot.name}
          onValue={(name, g) => change({ name }, g)}
        />
        <PercentField
          label="Share poured"
          className="w-24"
          decimals={1}
          value={share}
          disabled={!poured}
          onValue={(percent, g) => {
            const volumes = new Map(layers.map((l) => [l.pour.id, l.volumeMl] as const));
            const shared = setPotShare(plan, pot.id, percent, volumes);
            return shared.ok ? edit(() => shared.value, g) : shared.fault;
          }}
        />
        <span className="grid w-24 text-right">
          <span className="quiet text-sm">Batter</span>
          <span className="flex h-9 items-center justify-end text-lg font-bold">
            {weight ? show.mass(weight.batterG) : '–'}
          </span>
        </span>
        {!poured && plan.pots.length > 1 && (
          <button
            type="button"
            className="btn btn-ghost btn-sm px-1.5"
            aria-label={`Remove pot ${pot.letter}`}
            onClick={() => edit((p) => removePot(p, pot.id))}
          >
            <Trash2 className="size-4" aria-hidden="true" />
          </button>
        )}
      </div>
      {pot.colorants.map((c) => (
        <div key={c.id} className="flex items-center gap-2 pl-16">
          <TextField
            label="Colorant"
            hideLabel
            className="flex-1"
            value={c.name}
            onValue={(name, g) => colorant(c.id, { name }, g)}
          />
          <FigureField
            label={`Dose of ${c.name}`}
            hideLabel
            className="w-28"
            suffix="g/kg"
            value={c.doseGPerKg}
            onValue={(doseGPerKg, g) => colorant(c.id, { doseGPerKg }, g)}
          />
          <span className="w-24 text-right font-bold">
            {weight ? show.fine(weight.colorants.find((w) => w.id === c.id)?.massG ?? 0) : '–'}
          </span>
          <button
            type="button"
            className="btn btn-ghost btn-sm px-1.5"
            aria-label={`Remove ${c.name}`}
            onClick={() => change({ colorants: pot.colorants.filter((k) => k.id !== c.id) })}
          >
            <X className="size-4" aria-hidden="true" />
          </button>
        </div>
      ))}
      <div className="ml-16 flex items-end justify-between gap-3">
        <Picker
          label="Thickness wanted when it is poured"
          className="w-64"
          value={String(Math.round(pot.stage))}
          options={STAGES.map((word, stage) => ({ value: String(stage), label: word }))}
          onPick={(stage) => change({ stage: Number(stage) })}
        />
        <button
          type="button"
          className="btn btn-xs mb-1.5"
          onClick={() =>
            change({
              colorants: [
                ...pot.colorants,
                { id: freshId('c', pot.colorants), name: `${pot.name} colorant`, doseGPerKg: 3 },
              ],
            })
          }
        >
          <Plus className="size-3.5" aria-hidden="true" />
          Colorant
        </button>
      </div>
    </li>
  );
}
