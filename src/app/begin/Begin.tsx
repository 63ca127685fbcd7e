import { ArrowLeft } from 'lucide-react';
import { useMemo, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { madeToHold } from '../../core/clock/madeToHold.ts';
import { BEGINNINGS, beginPlan, type Beginning } from '../../core/edit/beginnings.ts';
import { LEAST_LAYERS, MOST_LAYERS } from '../../core/edit/ombre.ts';
import { POT_COLOURS } from '../../core/edit/pots.ts';
import { STARTER_COLORANTS } from '../../core/colorant/starters.ts';
import { begunWith } from '../../core/mould/begunWith.ts';
import { STARTER_MOULDS } from '../../core/mould/starterMoulds.ts';
import type { Plan } from '../../core/plan/planSchema.ts';
import { bringPlans } from '../../store/keeping/newPlans.ts';
import { newPlanId } from '../../store/page.ts';
import { useColorants } from '../parts/colour/useLibrary.ts';
import { Picker } from '../parts/Picker.tsx';
import { ThemeButton } from '../parts/ThemeButton.tsx';
import { BeginningCard } from './BeginningCard.tsx';
import { Colours } from './Colours.tsx';
import { OwnBeginnings } from './OwnBeginnings.tsx';
import { useOwnMoulds } from '../stations/mould/useOwnMoulds.ts';
import { useLastUsed } from './useLastUsed.ts';

const FIRST_COLOURS = ['Slate', 'Chalk', 'Weir copper'];
const FIRST_LAYERS = 5;
const FIRST_COLORANT = 'heather';

/**
 * New plan: beginnings drawn in the maker's mould, with as many layers and in the colours chosen. Nothing is
 * kept before one is pressed.
 */
export function Begin() {
  const navigate = useNavigate();
  const last = useLastUsed();
  const { things: own } = useOwnMoulds();
  const colorants = useColorants();
  const [mouldName, setMouldName] = useState<string>();
  const [layers, setLayers] = useState(FIRST_LAYERS);
  const [names, setNames] = useState<readonly string[]>(FIRST_COLOURS);
  const [colorantId, setColorantId] = useState(FIRST_COLORANT);
  const [at] = useState(() => ({ planId: newPlanId(), now: new Date().toISOString() }));

  const moulds = useMemo(() => {
    const kept = [...own.map((m) => m.value), ...STARTER_MOULDS];
    const all = [...(last?.mould ? [begunWith(last.mould, kept)] : []), ...kept];
    return all.filter((m, i) => all.findIndex((o) => o.name === m.name) === i);
  }, [last, own]);
  // nothing is drawn in a mould that is not the one used last
  const mould = last && (moulds.find((m) => m.name === mouldName) ?? moulds[0]);
  const colorant =
    colorants.find((c) => c.id === colorantId) ?? STARTER_COLORANTS.find((c) => c.id === FIRST_COLORANT);
  const units = last?.units;
  const plans = useMemo((): readonly (readonly [(typeof BEGINNINGS)[number], Plan])[] => {
    if (!mould || !colorant) return [];
    const colours = POT_COLOURS.filter((c) => names.includes(c.name));
    return BEGINNINGS.flatMap((b) => {
      const plan = beginPlan(b.id, { ...at, units, mould, layers, colours, colorant });
      return plan ? [[b, plan] as const] : [];
    });
  }, [at, units, mould, layers, names, colorant]);

  const begin = async (opens: Beginning['opens'], plan: Plan): Promise<void> => {
    const [brought] = await bringPlans([plan]);
    if (brought) await navigate(`/plan/${brought.id}/${opens}`);
  };
  return (
    <div className="flex min-h-0 flex-1 flex-col overflow-y-auto">
      <header className="flex flex-wrap items-center gap-4 px-8 pt-6 pb-3">
        <Link to="/" className="btn btn-ghost btn-sm">
          <ArrowLeft className="size-4" aria-hidden="true" /> Shelf
        </Link>
        <h1 className="text-2xl">Begin from a way of pouring</h1>
        <span className="ml-auto">
          <ThemeButton />
        </span>
      </header>
      <main className="grid gap-6 px-8 pb-8">
        <section aria-label="For all of them" className="flex flex-wrap items-end gap-4">
          {mould && (
            <Picker
              label="Mould"
              className="w-64"
              value={mould.name}
              options={moulds.map((m) => ({ value: m.name, label: m.name }))}
              onPick={setMouldName}
            />
          )}
          <Picker
            label="Layers"
            className="w-24"
            value={String(layers)}
            options={Array.from({ length: MOST_LAYERS - LEAST_LAYERS + 1 }, (_, i) => ({
              value: String(i + LEAST_LAYERS),
              label: String(i + LEAST_LAYERS),
            }))}
            onPick={(n) => setLayers(Number(n))}
          />
          <Colours names={names} onChoose={setNames} />
          <Picker
            label="Graded to"
            className="w-52"
            value={colorant?.id ?? ''}
            options={colorants.map((c) => ({ value: c.id, label: c.name }))}
            onPick={setColorantId}
          />
          <p className="quiet basis-full text-sm">
            What would not hold in time as it is drawn here is begun so that it does; the plan’s notes say by
            what.
          </p>
        </section>
        <ul className="grid grid-cols-[repeat(auto-fill,minmax(15rem,1fr))] gap-5">
          {plans.map(([b, plan]) => (
            <li key={b.id}>
              <BeginningCard
                beginning={b}
                plan={plan}
                onBegin={() => void begin(b.opens, madeToHold(plan))}
              />
            </li>
          ))}
        </ul>
        <OwnBeginnings {...{ at, mould: mouldName === undefined ? undefined : mould }} onBegin={begin} />
      </main>
    </div>
  );
}
