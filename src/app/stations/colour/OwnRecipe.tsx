import type { Water } from '../../../core/batter/schema.ts';
import { setOwnOils, setOwnWater, waterIn } from '../../../core/edit/ownRecipe.ts';
import { lineNames } from '../../../core/batter/usedOils.ts';
import type { Pot } from '../../../core/plan/planSchema.ts';
import { SUBSTANCE } from '../../../core/weigh/substances.ts';
import { supplied } from '../../../core/ledger/ledger.ts';
import { Choice } from '../../kit/Choice.tsx';
import { usePlan } from '../../parts/usePlan.ts';
import { OilTable } from '../batter/OilTable.tsx';
import { WATER_SCHOOLS, WaterValue } from '../batter/WaterValue.tsx';

const WHOSE = [
  { value: 'recipe', label: 'the recipe’s' },
  { value: 'own', label: 'its own' },
] as const;

/** In portions made ready before the lye: oils and water of this pot's own, in place of the recipe's. */
export function OwnRecipe({ pot }: { readonly pot: Pot }) {
  const { plan, computed, edit } = usePlan('weights');
  const { oils, water } = pot.own ?? {};
  const all = computed.weights ? supplied(computed.weights.ledger) : undefined;
  const weightOf = (line: string): number | undefined => all?.get(SUBSTANCE.ownOil(pot.id, line));
  const totalG = all && oils ? lineNames(oils).reduce((s, line) => s + (weightOf(line) ?? 0), 0) : undefined;
  const putWater = (next: Water, gesture?: Parameters<typeof edit>[1]) =>
    edit((p) => setOwnWater(p, pot.id, next), gesture);
  return (
    <div className="grid gap-3">
      <div className="grid grid-cols-2 gap-3">
        <Choice
          legend="Oils"
          value={oils ? 'own' : 'recipe'}
          options={WHOSE}
          onChoose={(whose) =>
            edit((p) => setOwnOils(p, pot.id, whose === 'own' ? p.batter.oils : undefined))
          }
        />
        <Choice
          legend="Water"
          value={water ? 'own' : 'recipe'}
          options={WHOSE}
          onChoose={(whose) =>
            edit((p) => setOwnWater(p, pot.id, whose === 'own' ? p.batter.water : undefined))
          }
        />
      </div>
      {oils && (
        <OilTable
          oils={oils}
          put={(change, gesture) => edit((p) => setOwnOils(p, pot.id, change(oils)), gesture)}
          weightOf={weightOf}
          totalG={totalG}
        />
      )}
      {water && (
        <div className="grid grid-cols-[2fr_1fr] items-end gap-3">
          <Choice
            legend="Water said as"
            value={water.school}
            options={WATER_SCHOOLS}
            onChoose={(school) => putWater(waterIn(plan, pot, school))}
          />
          <WaterValue water={water} onValue={(value, g) => putWater({ ...water, value }, g)} />
        </div>
      )}
    </div>
  );
}
