import { ChevronUp, X } from 'lucide-react';
import { lazy, Suspense } from 'react';
import { AGES, type Age } from '../../core/look/state.ts';
import {
  lookChanged,
  momentShown,
  sectionFolded,
  viewShown,
  type LoafViewName,
} from '../../store/deskSlice.ts';
import { useAppDispatch, useAppSelector } from '../../store/store.ts';
import { hasPatterns } from '../../core/pattern/blocks.ts';
import { useBench } from '../parts/usePlan.ts';
import { Introduction } from '../help/Introduction.tsx';
import { BesideView } from './BesideView.tsx';
import { BarsView } from './BarsView.tsx';
import { FlatView } from './FlatView.tsx';
import { LoafView } from './LoafView.tsx';
import { PlaneView } from './PlaneView.tsx';
import { Loading } from '../parts/Loading.tsx';
import { MouldTabs } from './MouldTabs.tsx';
import { Button } from '../kit/Button.tsx';
import { IconButton } from '../kit/IconButton.tsx';

const NineView = lazy(async () => ({ default: (await import('./NineView.tsx')).NineView }));

const VIEWS: readonly { readonly view: LoafViewName; readonly label: string }[] = [
  { view: 'section', label: 'Section' },
  { view: 'side', label: 'Side' },
  { view: 'plan', label: 'Plan' },
  { view: 'loaf', label: 'Loaf' },
  { view: 'cut', label: 'Cut' },
  { view: 'bars', label: 'Bars' },
];

const WHEN: Readonly<Record<Age, string>> = { pour: 'at the pour', cut: 'at the cut', cured: 'cured' };

/** The loaf in the view that is chosen; the flat ones whole, or as it stands at the chosen pour. */
export function Views({ editable, timed }: { readonly editable: boolean; readonly timed: boolean }) {
  const dispatch = useAppDispatch();
  const { view: wanted, moment, chosen, look, beside } = useAppSelector((s) => s.desk);
  const view = wanted === 'beside' && !beside ? 'plan' : wanted;
  const { plan } = useBench();
  const views = [
    ...VIEWS,
    ...(beside ? [{ view: 'beside', label: 'Compare' } as const] : []),
    ...(view === 'nine' ? [{ view: 'nine', label: 'Nine' } as const] : []),
  ];
  const isPour = plan.steps.find((s) => s.id === chosen)?.kind === 'pour';
  const flat = view === 'section' || view === 'side';
  return (
    <>
      <MouldTabs className="hidden bench:flex" />
      <div className="flex flex-wrap items-center gap-1 px-4 pt-3 short:flex-nowrap short:px-1 short:pt-0">
        <div className="flex min-w-0 items-center overflow-x-auto max-sm:flex-1">
          {views.map((v) => (
            <button
              key={v.view}
              type="button"
              aria-pressed={v.view === view}
              className={`cursor-pointer shrink-0 rounded-field px-2.5 py-1 short:px-1.5 ${v.view === view ? 'font-heading text-lg font-bold' : 'quiet text-sm hover:underline'}`}
              onClick={() => dispatch(viewShown(v.view))}
            >
              {v.label}
            </button>
          ))}
        </div>
        <IconButton
          icon={ChevronUp}
          className="sm:order-last bench:hidden"
          label="Fold the section to a strip"
          title="Fold the section to a strip"
          onClick={() => dispatch(sectionFolded(true))}
        />
        <div className="ml-auto flex min-w-0 items-center gap-1 p-0.5 max-sm:w-full max-sm:overflow-x-auto">
          <select
            className={`field h-8 w-28 px-1.5 text-sm short:hidden ${look.when === 'cured' ? '' : 'border-accent font-bold'}`}
            aria-label="Colours as they look"
            value={look.when}
            onChange={(event) =>
              dispatch(lookChanged({ when: AGES.find((m) => m === event.target.value) ?? 'cured' }))
            }
          >
            {AGES.map((when) => (
              <option key={when} value={when}>
                {WHEN[when]}
              </option>
            ))}
          </select>
          {hasPatterns(plan) && (
            <label
              className="flex shrink-0 items-center gap-1.5 text-sm short:hidden"
              title="How much a hand wavers. For looks alone: nothing is weighed by it"
            >
              <span className="quiet">Wavers</span>
              <input
                type="range"
                min="0"
                max="1"
                step="0.25"
                value={look.hand}
                aria-valuetext={
                  look.hand === 0 ? 'as drawn' : `wavers, ${Math.round(look.hand * 100)} of 100`
                }
                className="w-16 accent-(--color-accent)"
                onChange={(event) => dispatch(lookChanged({ hand: Number(event.target.value) }))}
              />
            </label>
          )}
          {look.eyes !== 'all' && (
            <Button
              className="shrink-0 border-accent bg-base-100"
              onClick={() => dispatch(lookChanged({ eyes: 'all' }))}
            >
              As seen with {look.eyes}
              <X className="size-4" aria-label="Show all colours" />
            </Button>
          )}
          {(flat || view === 'plan' || view === 'loaf') && chosen !== null && (
            <Button
              className="shrink-0 border-base-300 bg-base-100 short:hidden"
              aria-pressed={moment === 'pour'}
              onClick={() => dispatch(momentShown(moment === 'pour' ? 'whole' : 'pour'))}
            >
              {moment === 'pour'
                ? 'Show the whole loaf'
                : isPour
                  ? 'Show it at this pour'
                  : 'Show it after this'}
            </Button>
          )}
        </div>
      </div>
      <Introduction of="section" className="mx-4 mt-2" />
      {flat && <FlatView view={view} editable={editable} timed={timed} />}
      {view === 'cut' && <PlaneView />}
      {view === 'bars' && <BarsView />}
      {view === 'beside' && <BesideView />}
      {view === 'nine' && (
        <Suspense fallback={<Loading />}>
          <NineView />
        </Suspense>
      )}
      {(view === 'plan' || view === 'loaf') && <LoafView key={view} above={view === 'plan'} />}
    </>
  );
}
