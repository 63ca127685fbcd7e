import { useEffect, useRef, useState, type KeyboardEvent } from 'react';
import type { Gap } from '../../core/edit/onLine/standing.ts';
import { THINGS, type OnBench, type Thing, type ThingName } from '../../core/edit/onLine/things.ts';
import { lowerFirst } from '../../core/units/words.ts';
import { useNewStep } from './useNewStep.ts';
import { ThingDrawing } from './ThingDrawing.tsx';

/** Where the menu was asked for. */
export interface Asked {
  readonly gap: Gap;
  /** "What comes after pour 3?" */
  readonly question: string;
  /** of the middle of the "+" on the screen, px from the left and the top */
  readonly xPx: number;
  readonly yPx: number;
}

interface AddMenuProps {
  readonly on: OnBench;
  readonly asked: Asked;
  readonly onClose: () => void;
}

const NAMES = Object.keys(THINGS) as ThingName[];

/** From the edges of the window, px. */
const CLEAR = 8;

/** As wide as it is with everything in a row, px. */
const WIDE = 900;

/** Under the line, where its drops hang; lower windows have it at their foot. */
const HIGH = 104;

const widthOf = (): number => Math.min(WIDE, innerWidth - 2 * CLEAR);

const leftOf = ({ xPx }: Asked): number =>
  Math.max(CLEAR, Math.min(xPx - widthOf() / 2, innerWidth - widthOf() - CLEAR));

/** Arrow keys go from one thing to the next. */
function walk(event: KeyboardEvent<HTMLElement>): void {
  const by = { ArrowLeft: -1, ArrowUp: -1, ArrowRight: 1, ArrowDown: 1 }[event.key];
  if (by === undefined) return;
  const items = [...event.currentTarget.querySelectorAll('button')];
  const at = items.indexOf(document.activeElement as HTMLButtonElement);
  event.preventDefault();
  items[(at + by + items.length) % items.length]?.focus();
}

/**
 * What can come at a place on the line: it lies over the drops, so that the loaf stays in view. What cannot
 * stand there says why.
 */
export function AddMenu({ on, asked, onClose }: AddMenuProps) {
  const ref = useRef<HTMLDivElement>(null);
  const put = useNewStep();
  const [of, setOf] = useState<ThingName>();
  const [told, setTold] = useState<string>();
  const things: Readonly<Record<ThingName, Thing>> = THINGS;
  useEffect(() => {
    ref.current?.showPopover();
  }, []);
  // each page of it begins at its first choice
  useEffect(() => {
    ref.current?.querySelector('button')?.focus();
  }, [of]);
  const take = (name: ThingName, way?: string): void => {
    put((plan) => things[name].put({ ...on, plan }, asked.gap, way), things[name].seen);
    ref.current?.hidePopover();
  };
  const left = leftOf(asked);
  const say = (words: string) => ({
    onFocus: () => setTold(words),
    onPointerEnter: () => setTold(words),
  });
  return (
    <div
      ref={ref}
      popover="auto"
      className="fixed inset-auto m-0 overflow-visible rounded-box bg-neutral px-4 py-2 text-neutral-content"
      style={{ left, width: widthOf(), bottom: Math.max(CLEAR, innerHeight - asked.yPx - HIGH - CLEAR * 2) }}
      onToggle={(event) => {
        if (event.newState === 'closed') onClose();
      }}
      onKeyDown={walk}
    >
      <span
        className="absolute -top-1.5 size-3 rotate-45 bg-neutral"
        style={{ left: asked.xPx - left - 6 }}
        aria-hidden="true"
      />
      <p className="flex min-h-5 flex-wrap gap-x-4 text-sm">
        <b>{of === undefined ? asked.question : `${things[of].name}: which way?`}</b>
        <span aria-live="polite">{told}</span>
      </p>
      {of === undefined ? (
        <div role="menu" aria-label={asked.question} className="mt-1 flex flex-wrap">
          {NAMES.map((name) => {
            const { name: word, says, ways } = things[name];
            const why = things[name].whyNot(on, asked.gap);
            const words = why === undefined ? `${word}: ${says}.` : `Not here: ${why}.`;
            return (
              <button
                key={name}
                type="button"
                role="menuitem"
                aria-disabled={why !== undefined}
                aria-label={why === undefined ? `${word}, ${says}` : `${word}: not here, ${why}`}
                className="grid min-h-14 w-18 cursor-pointer justify-items-center gap-0.5 rounded-field p-1 text-sm hover:bg-base-100/15 aria-disabled:cursor-default aria-disabled:opacity-45"
                onClick={() => {
                  if (why !== undefined) setTold(words);
                  else if (ways) setOf(name);
                  else take(name);
                }}
                {...say(words)}
              >
                <ThingDrawing thing={name} />
                {lowerFirst(word)}
              </button>
            );
          })}
        </div>
      ) : (
        <div
          role="menu"
          aria-label={`${things[of].name}: which way?`}
          className="mt-1 flex flex-wrap gap-1.5"
        >
          {things[of].ways?.(on.plan).map(({ way, name, says }) => (
            <button
              key={way}
              type="button"
              role="menuitem"
              className="min-h-9 cursor-pointer rounded-field bg-base-100/15 px-3 text-sm font-semibold hover:bg-base-100/30"
              onClick={() => take(of, way)}
              {...say(says === undefined ? name : `${name}: ${says}.`)}
            >
              {name}
            </button>
          ))}
        </div>
      )}
    </div>
  );
}
