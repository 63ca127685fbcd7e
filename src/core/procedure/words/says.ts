import type { PotId } from '../../validate/ids.ts';
import type { Plan, Pot } from '../../plan/planSchema.ts';
import { stageFigure } from '../../setting/stage.ts';
import { formatFine, formatLength, formatMass, formatShort, formatTemperature } from '../../units/format.ts';
import type { Stage } from '../../units/quantity.ts';
import { lowerFirst } from '../../units/words.ts';
import type { Deed } from '../deeds.ts';

/** What is said of an act. A caution stands at the step where the danger is. */
export interface Words {
  readonly text: string;
  readonly caution?: string;
  /** when, as far as is estimated */
  readonly timing?: string;
}

/** How figures are said, and the pot that it is about. */
export interface Saying {
  readonly units: Plan['units'];
  readonly mass: (g: number) => string;
  readonly fine: (g: number) => string;
  readonly length: (mm: number) => string;
  readonly temperature: (c: number) => string;
  /** "pot A, Chalk"; empty for an act of no pot */
  readonly pot: string;
  /** the same without the word: "A, Chalk" */
  readonly jug: string;
  readonly letterOf: (pot: string | undefined) => string | undefined;
}

const jugName = (pot: Pot | undefined): string => (pot ? `${pot.letter}, ${pot.name}` : '');

export function sayingOf({ units, pots: own, second }: Plan, potId: PotId | undefined): Saying {
  const pots = [...own, ...(second?.pots ?? [])];
  const jug = jugName(pots.find((p) => p.id === potId));
  return {
    units,
    mass: (g) => formatMass(g, units.mass, units.scaleStepG),
    fine: (g) => formatFine(g, units.mass, units.fineStepG),
    length: (mm) => formatLength(mm, units.length),
    temperature: (c) => formatTemperature(c, units.temperature),
    pot: jug === '' ? '' : `pot ${jug}`,
    jug,
    letterOf: (id) => pots.find((p) => p.id === id)?.letter,
  };
}

/** Where blending ends: one name for it, on the sheet as on the clock. */
export const blendedTo = (stage: Stage | undefined): string =>
  stage === undefined
    ? 'until it just holds as an emulsion'
    : stage < 0.1
      ? `to an emulsion that holds (${formatShort(stage, 1)} of 5)`
      : `until it is ${stageFigure(stage)}`;

/** Words for each of some deeds. */
export type WordsFor<D extends Deed['does']> = {
  readonly [K in D]: (deed: Extract<Deed, { does: K }>, say: Saying) => Words;
};

/** Said of one mould, which is named where there are several. */
export const inMould = (mould: string | undefined, text: string): string =>
  mould === undefined ? text : `${mould}: ${lowerFirst(text)}`;
