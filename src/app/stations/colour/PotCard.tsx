import { isFrom } from '../../../core/plan/sources.ts';
import { gradedBy } from '../../../core/ombre/runs.ts';
import { Trash2 } from 'lucide-react';
import { addNamed, addToPot, mixPot } from '../../../core/edit/colorants.ts';
import { inJug, isPoured, removePot, setPotShare, updatePot } from '../../../core/edit/pots.ts';
import type { Pot } from '../../../core/plan/planSchema.ts';
import { STAGES } from '../../../core/setting/stage.ts';
import { ColorantPicker } from '../../parts/colour/ColorantPicker.tsx';
import { ColourPicker } from '../../parts/colour/ColourPicker.tsx';
import { NO_COLOUR } from '../../parts/ink.ts';
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
import { Fold } from '../../kit/Fold.tsx';
import { IconButton } from '../../kit/IconButton.tsx';
import { WordButton } from '../../kit/WordButton.tsx';

const OWN_JUG = 'own';

/** The card of one pot: its name and share, what colours it, how it will look; what is rarer is folded. */
export function PotCard({ pot, states }: { readonly pot: Pot; readonly states: readonly NamedState[] }) {
  const { plan, computed, edit, show } = usePlan('stack', 'weights');
  const colours = useColours();
  const ofSecond = useOfSecond();
  const { layers } = computed.stack;
  const weight = computed.weights?.pots.find((w) => w.pot.id === pot.id);
  const poured = isPoured(plan, pot.id);
  const graded = gradedBy(plan, pot.id);
  const share = layers.filter((l) => isFrom(l.pour, pot.id)).reduce((s, l) => s + l.sharePercent, 0);
  const colour = colours.pots.get(pot.id) ?? NO_COLOUR;
  const change = (part: Partial<Omit<Pot, 'id'>>, gesture?: Gesture) =>
    edit((p) => updatePot(p, pot.id, part), gesture);
  return (
    <div className="grid gap-2.5 pb-3 sm:ml-11">
      <div className="flex flex-wrap items-end gap-3">
        <TextField
          label="Name"
          className="min-w-36 flex-1"
          value={pot.name}
          onValue={(name, g) => change({ name }, g)}
        />
        {!poured && plan.pots.length > 1 && (
          <IconButton
            icon={Trash2}
            label={`Remove pot ${pot.letter}`}
            onClick={() => edit((p) => removePot(p, pot.id))}
          />
        )}
      </div>
      {graded ? (
        <p className="quiet text-sm">
          Coloured as the ombre {graded.name} asks:{' '}
          {weight?.colorants.map((c) => `${show.fine(c.massG)} ${c.name}`).join(', ') ?? 'see Ombre'}.
        </p>
      ) : (
        <>
          <ColorantLines pot={pot} weights={weight?.colorants ?? []} />
          <div className="flex flex-wrap items-center gap-3">
            <ColorantPicker
              label="Add a colorant"
              without={pot.colorants.map((c) => c.colorant)}
              onPick={(colorant) => edit((p) => addToPot(p, pot.id, colorant))}
              onOther={() => edit((p) => addNamed(p, pot.id, `${pot.name} colorant`))}
            />
            <PotMatch pot={pot} colour={colour} />
          </div>
          {pot.colour !== undefined && (
            <p className="quiet text-sm">
              Drawn in the colour given by hand.{' '}
              <WordButton onClick={() => edit((p) => mixPot(p, pot.id))}>As mixed instead</WordButton>
            </p>
          )}
        </>
      )}
      <LookStates potId={pot.id} states={states} />
      <StirredIn pot={pot} />
      <Fold title="More" state={moreText(pot)}>
        <div className="flex flex-wrap items-end gap-3">
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
          <TextField
            label="Letter"
            className="w-16"
            inputClass="text-center"
            value={pot.letter}
            onValue={(letter, g) => change({ letter: letter.trim().toUpperCase() }, g)}
          />
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
          {!graded && (
            <ColourPicker
              label={`Colour of pot ${pot.letter}`}
              value={colour}
              onPick={(hex, g) => change({ colour: hex }, g)}
              className="btn btn-sm"
            >
              Draw it in a colour…
            </ColourPicker>
          )}
        </div>
        <PotJug pot={pot} />
      </Fold>
      {plan.divide.kind === 'before-lye' && <OwnRecipe pot={pot} />}
    </div>
  );
}

/** "light; in Blue jug" */
const moreText = ({ stage, jug }: Pot): string =>
  [`poured ${STAGES[Math.round(stage)] ?? ''}`, ...(jug ? [`in ${jug.name}`] : [])].join('; ');
