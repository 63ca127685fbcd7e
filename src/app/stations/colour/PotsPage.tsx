import { Plus } from 'lucide-react';
import { hexOfBody } from '../../../core/colour/body.ts';
import { addPot } from '../../../core/edit/pots.ts';
import { potsOf } from '../../../core/plan/sources.ts';
import { plainSoap } from '../../../core/look/soapColour.ts';
import { potShown } from '../../../store/deskSlice.ts';
import { useAppDispatch, useAppSelector } from '../../../store/store.ts';
import { ColourPicker } from '../../parts/colour/ColourPicker.tsx';
import { Group } from '../../parts/Station.tsx';
import { StationFold } from '../../parts/StationFold.tsx';
import { useOfSecond, usePlan } from '../../parts/usePlan.ts';
import { BatchSeen, WhichBatch } from '../../parts/WhichBatch.tsx';
import { ColourDrawn } from './ColourDrawn.tsx';
import { DIVIDED, DivideFields } from './DivideFields.tsx';
import { LookFields, seenText } from './LookFields.tsx';
import { useStates } from './LookStates.tsx';
import { PotRow } from './PotRow.tsx';
import { PotWeights } from './PotWeights.tsx';
import { Button } from '../../kit/Button.tsx';
import { WordButton } from '../../kit/WordButton.tsx';

/** The pots of the plan, what colours them, and what they weigh. */
export function PotsPage() {
  return (
    <>
      <WhichBatch />
      <BatchSeen>
        <Pots />
      </BatchSeen>
    </>
  );
}

/** Opens the card of the pot that was added last, whatever its id came to be. */
const NEWEST = 'newest';

function Pots() {
  const { plan, computed, edit } = usePlan('weights', 'graded');
  const ofSecond = useOfSecond();
  const states = useStates(computed);
  const dispatch = useAppDispatch();
  const seen = useAppSelector((s) => seenText(s.desk.look));
  const shown = useAppSelector((s) => s.desk.pot);
  const chosen = useAppSelector((s) => s.desk.chosen);
  const step = plan.steps.find((s) => s.id === chosen);
  const ofPour = step?.kind === 'pour' ? potsOf(step)[0] : undefined;
  const open = shown === NEWEST ? plan.pots.at(-1)?.id : shown === undefined ? ofPour : shown;
  const add = (): void => {
    edit((p) => addPot(p).plan);
    dispatch(potShown(NEWEST));
  };
  return (
    <>
      <ColourDrawn />
      <Group
        title="Pots"
        aside={
          <Button icon={Plus} onClick={add}>
            Pot
          </Button>
        }
      >
        <ul className="rule border-b">
          {plan.pots.map((pot) => (
            <PotRow
              key={pot.id}
              pot={pot}
              states={states}
              open={pot.id === open}
              onMove={(to) => dispatch(potShown(to ? pot.id : null))}
            />
          ))}
        </ul>
      </Group>
      <div>
        <StationFold
          id="divided"
          title={plan.divide.kind === 'before-lye' ? 'Portions' : 'Weights'}
          state={DIVIDED[plan.divide.kind]}
        >
          {!ofSecond && <DivideFields />}
          {computed.weights && <PotWeights weights={computed.weights} />}
        </StationFold>
        <StationFold id="seen" title="Plain soap, and how the loaf is drawn" state={seen}>
          <PlainSoap />
          <LookFields />
        </StationFold>
      </div>
    </>
  );
}

/**
 * What everything is mixed into: the colour of the plain soap, estimated from the oils or taken from a bar.
 */
function PlainSoap() {
  const { plan, edit } = usePlan();
  const colour = hexOfBody(plainSoap(plan.batter));
  const given = plan.batter.colour !== undefined;
  return (
    <div className="flex items-center gap-3">
      <ColourPicker
        label="Colour of the plain soap"
        value={colour}
        onPick={(hex, g) => edit((p) => ({ ...p, batter: { ...p.batter, colour: hex } }), g)}
        className="size-9 shrink-0 cursor-pointer rounded-full border border-black/30"
        style={{ background: colour }}
      >
        {null}
      </ColourPicker>
      <p className="text-sm leading-snug">
        Plain soap of this recipe, cured.{' '}
        {given ? (
          <>
            Given by hand.{' '}
            <WordButton
              onClick={() =>
                edit((p) => {
                  const { colour: _colour, ...batter } = p.batter;
                  return { ...p, batter };
                })
              }
            >
              Estimate it from the oils
            </WordButton>
          </>
        ) : (
          <span className="quiet">
            ≈ estimated from the oils; pick it from a photograph of a plain bar to do better.
          </span>
        )}
      </p>
    </div>
  );
}
