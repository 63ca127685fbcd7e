import type { ReactNode } from 'react';
import { FINISHES, STICK_NAMES, TOPS } from '../../core/pattern/knowHow.ts';
import type { Step } from '../../core/plan/stepSchema.ts';
import { stageWord } from '../../core/setting/stage.ts';
import { formatShort } from '../../core/units/format.ts';
import { lowerFirst } from '../../core/units/words.ts';

export interface MarkWords {
  /** under its mark on the line */
  readonly word: string;
  /** what it is, after that word */
  readonly says: string;
}

const tilted = ({ rollDeg, pitchDeg, fluid }: Extract<Step, { kind: 'tilt' }>): string => {
  if (rollDeg === 0 && pitchDeg === 0) return fluid ? 'runs level' : 'level';
  return `${formatShort(rollDeg || pitchDeg, 1)}°`;
};

/** What stands on the line between the drops, in words. */
export function markWords(step: Exclude<Step, { kind: 'pour' }>): MarkWords {
  switch (step.kind) {
    case 'stroke':
      return {
        word: step.path.kind === 'free' ? 'stick' : lowerFirst(STICK_NAMES[step.path.kind]),
        says: 'the stick is drawn through it',
      };
    case 'wire':
      return { word: 'wire', says: 'drawn through the section' };
    case 'scrape':
      return { word: 'scrape', says: 'the layer is scraped' };
    case 'mica':
      return { word: 'line', says: 'of a colorant, over the layer' };
    case 'ridges':
      return { word: 'ridges', says: 'the hollows of the mat are filled' };
    case 'top':
      return { word: lowerFirst(TOPS[step.way.top].name), says: TOPS[step.way.top].says };
    case 'pull':
      return { word: 'pull', says: 'the column is pulled and its hole filled' };
    case 'wait':
      return step.until.kind === 'minutes'
        ? { word: `wait ${formatShort(step.until.minutes, 1)} min`, says: 'before what comes next' }
        : { word: `wait, ${stageWord(step.until.stage)}`, says: 'until what lies there is so thick' };
    case 'tilt':
      return { word: tilted(step), says: 'how the mould stands from here on' };
    case 'finish':
      return { word: lowerFirst(FINISHES[step.what]), says: 'once everything is in' };
  }
}

/** How it is drawn on the line. */
export function MarkDrawing({ step, chosen }: { readonly step: Step; readonly chosen: boolean }): ReactNode {
  if (step.kind === 'wait')
    return (
      <span
        className={`-mt-[3px] h-1.5 w-14 rounded-full bg-warning ${chosen ? 'outline-2 outline-base-content' : ''}`}
      />
    );
  if (step.kind === 'tilt')
    return (
      <svg width="34" height="26" viewBox="-17 -13 34 26" className="-mt-[13px]" aria-hidden="true">
        <rect
          x="-12"
          y="-8"
          width="24"
          height="16"
          fill={chosen ? 'var(--color-accent)' : 'var(--color-base-100)'}
          stroke="var(--color-base-content)"
          transform={`rotate(${0 - step.rollDeg})`}
        />
      </svg>
    );
  return (
    <span
      className={`-mt-[5px] size-2.5 rotate-45 border border-base-content ${chosen ? 'bg-accent' : 'bg-base-100'}`}
    />
  );
}
