import type { LearnedRate } from '../../../core/clock/learned.ts';
import { scentSpeed } from '../../../core/clock/scents.ts';
import { speedOf } from '../../../core/clock/speed.ts';
import type { KnownRate } from '../../../core/batter/schema.ts';
import { REST, REST_DOUBLES_MIN } from '../../../core/timing/estimates.ts';
import { forgetLearned, keepLearned, learnFrom } from '../../../core/edit/clock.ts';
import { formatShort } from '../../../core/units/format.ts';
import { plural } from '../../../core/units/words.ts';
import { Group } from '../../parts/Station.tsx';
import { usePlan } from '../../parts/usePlan.ts';
import { useStores } from '../../parts/useStores.ts';
import { keepOf } from '../../stores/useKeep.ts';

/** A spread of a logarithm as so many percent either way. */
const doubt = (sd: number): string => `± ${Math.round((Math.exp(sd) - 1) * 100)} %`;

interface Row {
  readonly id: string;
  readonly name: string;
  readonly unit: string;
  readonly was: number;
  readonly known: KnownRate | undefined;
  readonly rate: LearnedRate;
}

/** What each rate was taken to be, and what the readings make of it; each can be left as it was, kept, or forgotten. */
export function WhatWasLearned({ learned }: { readonly learned: readonly LearnedRate[] }) {
  const { plan, computed, edit } = usePlan('recipe');
  const stock = useStores('fragrance');
  const { recipe } = computed;
  const speed = recipe && speedOf(plan.batter, recipe, plan.clock);
  const rows = learned.flatMap((rate): Row[] => {
    if (rate.name === 'recipe')
      return speed
        ? [
            {
              id: 'recipe',
              name: 'The recipe',
              unit: 'stages a minute',
              was: speed.atRest,
              known: plan.clock.known,
              rate,
            },
          ]
        : [];
    if (rate.name === REST)
      return rate.readings > 0 || plan.clock.knownRest
        ? [
            {
              id: REST,
              name: 'At rest it doubles its strength in',
              unit: 'min',
              was: plan.clock.knownRest?.value ?? REST_DOUBLES_MIN,
              known: plan.clock.knownRest,
              rate,
            },
          ]
        : [];
    const fragrance = plan.batter.fragrances.find((f) => rate.name === `fragrance ${f.id}`);
    return fragrance
      ? [
          {
            id: fragrance.id,
            name: fragrance.name,
            unit: 'times as fast',
            was: scentSpeed(fragrance).factor,
            known: fragrance.known,
            rate,
          },
        ]
      : [];
  });
  const readings = plan.clock.readings ?? [];
  const news = ({ was, known, rate }: Row): KnownRate | undefined =>
    rate.refused || rate.readings === 0
      ? undefined
      : {
          value: Number((was * rate.factor).toPrecision(4)),
          readings: (known?.readings ?? 0) + rate.readings,
          rested: true,
        };
  const keep = (): void => {
    const kept = new Map(
      rows.flatMap((r) => {
        const value = news(r);
        return value ? [[r.id, value] as const] : [];
      }),
    );
    edit((p) => keepLearned(p, kept));
    // the fragrance of that name and lot in the stores learns it too
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
          const { id, name, unit, was, known, rate } = row;
          const now = was * rate.factor;
          return (
            <li key={id} className="rule grid gap-1 border-b pb-2 sm:grid-cols-[1fr_auto] sm:items-center">
              <p className="text-sm">
                <strong>{name}</strong>{' '}
                <em>
                  ≈ {formatShort(was, unit === 'times as fast' ? 2 : 3)} {unit} {doubt(rate.before.sd)}
                </em>
                {rate.readings > 0 && !rate.refused && (
                  <>
                    {' → '}
                    <strong>
                      {formatShort(now, unit === 'times as fast' ? 2 : 3)} {doubt(rate.after.sd)}
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
                  <button
                    type="button"
                    className="btn btn-sm"
                    onClick={() => edit((p) => learnFrom(p, id, rate.refused))}
                  >
                    {rate.refused ? 'Learn it after all' : 'Leave it as it was'}
                  </button>
                )}
                {known && (
                  <button
                    type="button"
                    className="btn btn-sm"
                    onClick={() => edit((p) => forgetLearned(p, id))}
                  >
                    Forget it
                  </button>
                )}
              </span>
            </li>
          );
        })}
      </ul>
      {readings.length > 0 && rows.some((r) => news(r)) && (
        <div className="flex flex-wrap items-center gap-3">
          <button type="button" className="btn btn-primary btn-sm" onClick={keep}>
            Keep what was learned
          </button>
          <p className="quiet text-sm">
            The readings are done with then; copies of this plan have it, and the fragrance in the stores.
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
