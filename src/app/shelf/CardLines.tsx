import type { Plan } from '../../core/plan/planSchema.ts';
import { mouldNames } from '../../core/plan/moulds.ts';
import { plural } from '../../core/units/words.ts';
import { formatMass } from '../../core/units/format.ts';
import { useCardFacts } from './useCardFacts.ts';

const DATE = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', year: '2-digit' });

const TROUBLE_WORDS = { refuse: 'cannot be poured yet', warn: 'something to look at' } as const;

/**
 * Under a card's name: its mould, what it takes and gives, when it was changed, and whether there is trouble.
 */
export function CardLines({ plan }: { readonly plan: Plan }) {
  const facts = useCardFacts(plan);
  const { mass, scaleStepG } = plan.units;
  return (
    <>
      <p className="quiet truncate text-sm">{[...mouldNames(plan).values()].join(' + ')}</p>
      <p className="quiet text-sm whitespace-nowrap">
        {facts?.batterG !== undefined && `${formatMass(facts.batterG, mass, Math.max(1, scaleStepG))} · `}
        {facts && facts.bars > 0 && `${plural(facts.bars, 'bar')} · `}
        {DATE.format(new Date(plan.changed))}
      </p>
      {facts?.trouble && (
        <p className={`text-sm font-semibold ${facts.trouble === 'refuse' ? 'text-error' : 'text-warning'}`}>
          <span aria-hidden="true">◆ </span>
          {TROUBLE_WORDS[facts.trouble]}
        </p>
      )}
    </>
  );
}
