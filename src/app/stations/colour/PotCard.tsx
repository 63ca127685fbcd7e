import { isFrom, poursFrom } from '../../../core/plan/sources.ts';
import { Trash2 } from 'lucide-react';
import { addNamed, addToPot, mixPot } from '../../../core/edit/colorants.ts';
import { inJug, isPoured, removePot, setPotShare, updatePot } from '../../../core/edit/pots.ts';
import type { Pot } from '../../../core/plan/planSchema.ts';
import { STAGES } from '../../../core/setting/stage.ts';
import { ColorantPicker } from '../../parts/colour/ColorantPicker.tsx';
import { ColourPicker } from '../../parts/colour/ColourPicker.tsx';
import { inkOn, NO_COLOUR } from '../../parts/ink.ts';
import { Picker } from '../../parts/Picker.tsx';
import { PercentField } from '../../parts/quantities.tsx';
import { TextField } from '../../parts/TextField.tsx';
import { useColours, useOfSecond, usePlan } from '../../parts/usePlan.ts';
import { ColorantLines } from './ColorantLines.tsx';
import { PotJug } from './PotJug.tsx';
import { PotMatch } from './PotMatch.tsx';
import { OwnRecipe } from './OwnRecipe.tsx';
import { StirredIn } from './StirredIn.tsx';
import { LookStates, type NamedState } from './LookStates.tsx';
import type { Gesture } from '../../../store/gesture.ts';
import { IconButton } from '../../kit/IconButton.tsx';
import { WordButton } from '../../kit/WordButton.tsx';

const OWN_JUG = 'own';

/** One pot: letter, name, its share of what is poured, its colorants, how it will look. */
export function PotCard({ pot, states }: { readonly pot: Pot; readonly states: readonly NamedState[] }) {
  const { plan, computed, edit, show } = usePlan('stack', 'weights');
  const colours = useColours();
  const ofSecond = useOfSecond();
  const { layers } = computed.stack;
  const weight = computed.weights?.pots.find((w) => w.pot.id === pot.id);
  const poured = isPoured(plan, pot.id);
  const pours = poursFrom(plan, pot.id);
  const graded = plan.ombres.find((o) => pours.some((p) => p.ombre?.id === o.id));
  const share = layers.filter((l) => isFrom(l.pour, pot.id)).reduce((s, l) => s + l.sharePercent, 0);
  const colour = colours.pots.get(pot.id) ?? NO_COLOUR;
  const change = (part: Partial<Omit<Pot, 'id'>>, gesture?: Gesture) =>
    edit((p) => updatePot(p, pot.id, part), gesture);
  return (
    <li className="grid gap-2.5 rounded-box border border-base-300 p-3" aria-label={`Pot ${pot.letter}`}>
      <div className="flex flex-wrap items-end gap-3">
        {graded ? (
          <span
            className="grid size-13 shrink-0 place-items-center rounded-full border border-black/30 text-xl font-bold"
            style={{ background: colour, color: inkOn(colour) }}
          >
            {pot.letter}
          </span>
        ) : (
          <ColourPicker
            label={`Colour of pot ${pot.letter}`}
            value={colour}
            onPick={(hex, g) => change({ colour: hex }, g)}
            className="grid size-13 shrink-0 cursor-pointer place-items-center rounded-full border border-black/30 text-xl font-bold"
            style={{ background: colour, color: inkOn(colour) }}
          >
            {pot.letter}
          </ColourPicker>
        )}
        <TextField
          label="Letter"
          className="w-16"
          inputClass="text-center"
          value={pot.letter}
          onValue={(letter, g) => change({ letter: letter.trim().toUpperCase() }, g)}
        />
        <TextField
          label="Name"
          className="min-w-36 flex-1"
          value={pot.name}
          onValue={(name, g) => change({ name }, g)}
        />
        {!ofSecond && (
          <PercentField
            label="Share poured"
            className="w-24"
            decimals={1}
            value={share}
            // a share is of the first mould’s pours: with designs of their own beside it, it is no pot’s to
            // set
            disabled={!poured || plan.others.some((o) => o.design === 'own')}
            onValue={(percent, g) => edit((p) => setPotShare(p, pot.id, percent), g)}
          />
        )}
        <span className="grid w-24 text-right">
          <span className="quiet text-sm">In its jug</span>
          <span className="flex h-9 items-center justify-end text-lg font-bold">
            {weight ? show.mass(weight.batterG) : '–'}
          </span>
        </span>
        {!poured && plan.pots.length > 1 && (
          <IconButton
            icon={Trash2}
            label={`Remove pot ${pot.letter}`}
            onClick={() => edit((p) => removePot(p, pot.id))}
          />
        )}
      </div>
      <div className="grid gap-2.5 sm:ml-16">
        {graded ? (
          <p className="quiet text-sm">
            Coloured as the ombre {graded.name} asks:{' '}
            {weight?.colorants.map((c) => `${show.fine(c.massG)} ${c.name}`).join(', ') ?? 'see Ombre'}.
          </p>
        ) : (
          <>
            <ColorantLines pot={pot} weights={weight?.colorants ?? []} />
            <div className="flex items-center gap-3">
              <ColorantPicker
                label="Add a colorant"
                without={pot.colorants.map((c) => c.colorant)}
                onPick={(colorant) => edit((p) => addToPot(p, pot.id, colorant))}
                onOther={() => edit((p) => addNamed(p, pot.id, `${pot.name} colorant`))}
              />
              <span className="quiet text-sm">
                {pot.colour === undefined ? 'Drawn as it is mixed.' : 'Drawn in the colour given by hand.'}
              </span>
              {pot.colour !== undefined && (
                <WordButton className="text-sm" onClick={() => edit((p) => mixPot(p, pot.id))}>
                  As mixed instead
                </WordButton>
              )}
            </div>
            <PotMatch pot={pot} colour={colour} />
          </>
        )}
        <LookStates potId={pot.id} states={states} />
        <StirredIn pot={pot} />
        <div className="flex flex-wrap gap-3">
          <Picker
            label="Thickness at the pour"
            className="w-44"
            value={String(Math.round(pot.stage))}
            options={STAGES.map((word, stage) => ({ value: String(stage), label: word }))}
            onPick={(stage) => change({ stage: Number(stage) })}
          />
          <Picker
            label="Jug"
            className="w-52"
            value={pot.jugOf ?? OWN_JUG}
            options={[
              { value: OWN_JUG, label: 'one of its own' },
              ...plan.pots
                .filter((p) => p.id !== pot.id)
                .map((p) => ({ value: p.id, label: `that of ${p.letter}, emptied` })),
            ]}
            onPick={(jug) =>
              edit((p) => ({
                ...p,
                pots: p.pots.map((q) => (q.id === pot.id ? inJug(q, jug === OWN_JUG ? undefined : jug) : q)),
              }))
            }
          />
        </div>
        <PotJug pot={pot} />
        {plan.divide.kind === 'before-lye' && <OwnRecipe pot={pot} />}
      </div>
    </li>
  );
}
