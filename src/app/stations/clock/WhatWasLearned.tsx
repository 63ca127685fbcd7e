import type { LearnedRate } from '../../../core/clock/learned.ts';
import { keptAs, ratesOf, type RateOf } from '../../../core/clock/kept.ts';
import { RECIPE } from '../../../core/clock/scents.ts';
import { toMediumMin } from '../../../core/clock/speed.ts';
import type { Plan } from '../../../core/plan/planSchema.ts';
import { REST } from '../../../core/timing/estimates.ts';
import { forgetLearned, keepLearned, learnFrom } from '../../../core/edit/clock.ts';
import { formatShort } from '../../../core/units/format.ts';
import { plural } from '../../../core/units/words.ts';
import { Group } from '../../parts/Station.tsx';
import { usePlan } from '../../parts/usePlan.ts';
import { useSupplies } from '../../parts/useSupplies.ts';
import { keepOf } from '../../supplies/useKeep.ts';
import { Button } from '../../kit/Button.tsx';

/** A spread of a logarithm as so many percent either way. */
const doubt = (sd: number): string => `± ${Math.round((Math.exp(sd) - 1) * 100)} %`;

interface Told {
  readonly name: string;
  readonly unit: string;
  readonly decimals: number;
  readonly value: (rate: number) => number;
}

const asItIs = (rate: number): number => rate;

/** What a rate is called, and how it is told. */
function named({ id }: RateOf, { batter }: Plan): Told {
  if (id === RECIPE)
    return {
      name: 'The recipe takes from light to medium',
      unit: 'min',
      decimals: 1,
      value: (perMinute) => toMediumMin({ perMinute }),
    };
  if (id === REST)
    return { name: 'At rest it doubles its strength in', unit: 'min', decimals: 1, value: asItIs };
  return {
    name: batter.fragrances.find((f) => f.id === id)?.name ?? id,
    unit: 'times as fast',
    decimals: 2,
    value: asItIs,
  };
}

/**
 * What each rate was taken to be, and what the readings make of it; each can be left as it was, kept, or
 * forgotten.
 */
export function WhatWasLearned({ learned }: { readonly learned: readonly LearnedRate[] }) {
  const { plan, computed, edit } = usePlan('recipe');
  const stock = useSupplies('fragrance');
  const rows = ratesOf(plan, computed.recipe).flatMap((of) => {
    const rate = learned.find((l) => l.name === of.doubt);
    // of rest nothing is said until anything was
    const told = of.id !== REST || of.known !== undefined || (rate?.readings ?? 0) > 0;
    return rate && told ? [{ ...of, ...named(of, plan), rate, news: keptAs(of, rate) }] : [];
  });
  const readings = plan.clock.readings ?? [];
  const keep = (): void => {
    const kept = new Map(rows.flatMap(({ id, news }) => (news ? [[id, news] as const] : [])));
    edit((p) => keepLearned(p, kept));
    // the fragrance of that name and lot in the supplies learns it too
    for (const f of plan.batter.fragrances) {
      const known = kept.get(f.id);
      const seen = stock.find((s) => s.value.name === f.name && s.value.version === f.version);
      if (known && seen) keepOf(seen)({ known });
    }
  };
  return (
    <Group title="What was learned">
      <ul className="grid gap-2">
        {rows.map((row) => {
          const { id, name, unit, decimals, value, was, known, rate } = row;
          const said = (of: number): string => formatShort(value(of), decimals);
          return (
            <li key={id} className="rule grid gap-1 border-b pb-2 sm:grid-cols-[1fr_auto] sm:items-center">
              <p className="text-sm">
                <strong>{name}</strong>{' '}
                <em>
                  ≈ {said(was)} {unit} {doubt(rate.before.sd)}
                </em>
                {rate.readings > 0 && !rate.refused && (
                  <>
                    {' → '}
                    <strong>
                      {said(was * rate.factor)} {doubt(rate.after.sd)}
                    </strong>
                  </>
                )}
                <span className="quiet">
                  {' '}
                  {known
                    ? `from ${plural(known.readings, 'reading')} before${known.rested ? '' : ', not told apart from rest yet and so in doubt by more'}${rate.readings > 0 ? ` and ${rate.readings} now` : ''}`
                    : rate.readings > 0
                      ? `from ${plural(rate.readings, 'reading')}`
                      : 'no reading yet'}
                </span>
              </p>
              <span className="flex gap-2">
                {rate.readings > 0 && (
                  <Button onClick={() => edit((p) => learnFrom(p, id, rate.refused))}>
                    {rate.refused ? 'Learn it after all' : 'Leave it as it was'}
                  </Button>
                )}
                {known && <Button onClick={() => edit((p) => forgetLearned(p, id))}>Forget it</Button>}
              </span>
            </li>
          );
        })}
      </ul>
      {readings.length > 0 && rows.some((r) => r.news) && (
        <div className="flex flex-wrap items-center gap-3">
          <Button tone="primary" onClick={keep}>
            Keep what was learned
          </Button>
          <p className="quiet text-sm">
            The readings are done with then; copies of this plan have it, and the fragrance in the supplies.
          </p>
        </div>
      )}
      <p className="quiet text-sm">
        A first guess counts as about one reading, and readings soon outweigh it. What a reading tells is
        shared between recipe, fragrance and rest by how much each was in doubt.
      </p>
    </Group>
  );
}
