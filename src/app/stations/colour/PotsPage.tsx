import { Plus } from 'lucide-react';
import { Link } from 'react-router';
import { hexOfBody } from '../../../core/colour/body.ts';
import { addPot } from '../../../core/edit/pots.ts';
import { plainSoap } from '../../../core/look/soapColour.ts';
import { ColourPicker } from '../../parts/colour/ColourPicker.tsx';
import { Group } from '../../parts/Station.tsx';
import { useOfSecond, usePlan } from '../../parts/usePlan.ts';
import { BatchSeen, WhichBatch } from '../../parts/WhichBatch.tsx';
import { DivideFields } from './DivideFields.tsx';
import { LookFields } from './LookFields.tsx';
import { useStates } from './LookStates.tsx';
import { PotCard } from './PotCard.tsx';
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

function Pots() {
  const { plan, computed, edit } = usePlan('weights', 'graded');
  const ofSecond = useOfSecond();
  const states = useStates(computed);
  return (
    <>
      <PlainSoap />
      <LookFields />
      <Group
        title="Pots"
        aside={
          <span className="flex gap-2">
            <Link to="/colorants" className="btn btn-sm btn-ghost">
              Colorants library
            </Link>
            <Button icon={Plus} onClick={() => edit((p) => addPot(p).plan)}>
              Pot
            </Button>
          </span>
        }
      >
        <ul className="grid gap-3">
          {plan.pots.map((pot) => (
            <PotCard key={pot.id} pot={pot} states={states} />
          ))}
        </ul>
      </Group>
      {!ofSecond && <DivideFields />}
      {computed.weights && <PotWeights weights={computed.weights} />}
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
