import { fragranceInBarPercent } from '../../../core/batter/fragranceLimit.ts';
import type { Fragrance } from '../../../core/batter/schema.ts';
import { formatPercent } from '../../../core/units/format.ts';
import { Choice } from '../../parts/Choice.tsx';
import { Fact } from '../../parts/Fact.tsx';
import { Group } from '../../parts/Station.tsx';
import { TextField } from '../../parts/TextField.tsx';
import { PercentField } from '../../parts/quantities.tsx';
import { usePlan } from '../../parts/usePlan.ts';

const FIRST: Fragrance = { name: 'Fragrance', percentOfOils: 3, when: 'batch', densityGMl: 0.97 };

export function FragranceFields() {
  const { plan, computed, edit, show } = usePlan();
  const { fragrance } = plan.batter;
  const { recipe, batch } = computed;
  const put = (next: Fragrance | undefined, gesture?: string) =>
    edit((p) => {
      const { fragrance: _old, ...batter } = p.batter;
      return { ...p, batter: next ? { ...batter, fragrance: next } : batter };
    }, gesture);
  if (!fragrance)
    return (
      <Group
        title="Fragrance"
        aside={
          <button type="button" className="btn btn-sm" onClick={() => put(FIRST)}>
            Add fragrance
          </button>
        }
      >
        <p className="quiet text-sm">None.</p>
      </Group>
    );
  return (
    <Group
      title="Fragrance"
      aside={
        <button type="button" className="btn btn-sm" onClick={() => put(undefined)}>
          Leave it out
        </button>
      }
    >
      <TextField label="Name" value={fragrance.name} onValue={(name, g) => put({ ...fragrance, name }, g)} />
      <div className="grid grid-cols-3 items-start gap-3">
        <PercentField
          label="of the oils"
          value={fragrance.percentOfOils}
          onValue={(percentOfOils, g) => put({ ...fragrance, percentOfOils }, g)}
        />
        <PercentField
          label="Certificate limit, of the bar"
          value={fragrance.limitPercent}
          onValue={(limitPercent, g) => put({ ...fragrance, limitPercent }, g)}
        />
        <Choice
          legend="Goes in"
          value={fragrance.when}
          options={[
            { value: 'batch', label: 'whole batch' },
            { value: 'pot', label: 'each pot' },
          ]}
          onChoose={(when) => {
            put({ ...fragrance, when });
          }}
        />
      </div>
      <div className="grid grid-cols-3 items-start gap-3">
        <PercentField
          label="Vanillin in it"
          hint="tans the soap; the supplier’s sheet says"
          className="col-span-2"
          value={fragrance.vanillinPercent}
          onValue={(vanillinPercent, g) => put({ ...fragrance, vanillinPercent }, g)}
        />
      </div>
      <dl className="grid grid-cols-2 gap-x-6">
        <Fact name="Weight">{batch ? show.fine(batch.fragranceG) : '–'}</Fact>
        <Fact name="In the cured bar" origin="estimated">
          {recipe ? formatPercent(fragranceInBarPercent(recipe), 2) : '–'}
        </Fact>
      </dl>
    </Group>
  );
}
