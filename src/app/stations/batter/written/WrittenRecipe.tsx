import { useMemo, useState } from 'react';
import { libraryOil } from '../../../../core/batter/oilLibrary.ts';
import {
  readRecipeText,
  sharesOf,
  type WrittenRecipe as Written,
} from '../../../../core/batter/recipeText.ts';
import { takeRecipe, type KnownRecipe } from '../../../../core/edit/takeRecipe.ts';
import type { Plan } from '../../../../core/plan/planSchema.ts';
import { oilOf } from '../../../../core/batter/usedOils.ts';
import { TextField } from '../../../parts/TextField.tsx';
import { usePlan } from '../../../parts/usePlan.ts';
import { useTyped } from '../../../parts/useTyped.ts';
import { Findings } from './Findings.tsx';
import { LEFT_OUT, UnknownOils } from './UnknownOils.tsx';
import { Resize } from './Resize.tsx';
import { WordButton } from '../../../kit/WordButton.tsx';

const EXAMPLE = '8.3 oz coconut oil\n15 % shea butter\nolive oil 450 g\nlye 3.1 oz\nwater 190 g';

/**
 * The text with the answers given for names that are in no library; undefined while one is still asked about.
 */
function known(
  written: Written,
  answers: Readonly<Record<string, string>>,
): KnownRecipe | { readonly fault: string } | undefined {
  const oils = written.oils.flatMap((line) => {
    const answer = answers[line.name];
    if (answer === LEFT_OUT) return [];
    const oil = line.oil ?? (answer === undefined ? undefined : libraryOil(answer));
    return [{ line, oil }];
  });
  const shares = sharesOf(oils.map((o) => o.line));
  if ('fault' in shares) return shares;
  const full = oils.flatMap(({ oil }, i) => (oil ? [{ oil, share: shares.shares[i] ?? 0 }] : []));
  if (full.length < oils.length) return undefined;
  const { lyeG, waterG, superfatPercent } = written;
  return { oils: full, totalG: shares.totalG, lyeG, waterG, superfatPercent };
}

/** This plan's own recipe as a maker would write it down. */
function writtenDown(plan: Plan, batch: ReturnType<typeof usePlan>['computed']['batch']): string {
  const weights = batch
    ? batch.oils.map((o) => `${o.massG} g ${o.name}`)
    : plan.batter.oils.map((o) => `${o.percent} % ${oilOf(o)?.name ?? o.oil}`);
  return [...weights, ...(batch ? [`lye ${batch.lyeG} g`, `water ${batch.waterG} g`] : [])].join('\n');
}

/** One place to check a recipe that is written somewhere, to take it over, and to make it another size. */
export function WrittenRecipe() {
  const { plan, computed, edit } = usePlan('batch');
  const [text, setText] = useTyped('');
  const [answers, setAnswers] = useState<Readonly<Record<string, string>>>({});
  const [said, setSaid] = useState('');
  const written = useMemo(() => readRecipeText(text), [text]);
  const recipe = useMemo(() => known(written, answers), [written, answers]);
  const asked = written.oils.filter((o) => !o.oil);
  const take = (asMuchAsWritten: boolean): void => {
    if (!recipe || 'fault' in recipe) return;
    const fault = edit((p) => takeRecipe(p, recipe, asMuchAsWritten));
    setSaid(fault ? fault.message : 'Taken over.');
  };
  return (
    <details className="rounded-box border border-base-300 px-3 py-2">
      <summary className="cursor-pointer text-sm font-semibold">
        Check a written recipe, take it over, make it another size
      </summary>
      <div className="mt-2 grid grid-cols-[minmax(0,1fr)] gap-3">
        <TextField
          label="As it is written: oils, lye and water, one a line, by weight or in percent"
          value={text}
          inputClass="h-40"
          long={{ most: 10000, example: EXAMPLE }}
          onValue={(typed, gesture) => {
            setSaid('');
            return setText(typed, gesture);
          }}
        />
        <p>
          <WordButton
            className="text-sm"
            onClick={() => {
              setText(writtenDown(plan, computed.batch));
              setSaid('');
            }}
          >
            Write this plan’s own recipe here
          </WordButton>
        </p>
        {written.faults.length > 0 && (
          <ul role="alert" className="grid gap-1 text-sm font-semibold text-error">
            {written.faults.map((f, i) => (
              <li key={i}>{f.message}</li>
            ))}
          </ul>
        )}
        {asked.length > 0 && (
          <UnknownOils
            names={[...new Set(asked.map((o) => o.name))]}
            answers={answers}
            onAnswer={(name, answer) => setAnswers({ ...answers, [name]: answer })}
          />
        )}
        {recipe && 'fault' in recipe && written.oils.length > 0 && (
          <p role="alert" className="text-sm font-semibold text-error">
            {recipe.fault}.
          </p>
        )}
        {recipe && !('fault' in recipe) && (
          <>
            <Findings recipe={recipe} onTake={take} said={said} />
            <Resize recipe={recipe} />
          </>
        )}
      </div>
    </details>
  );
}
