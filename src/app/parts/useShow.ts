import { useMemo } from 'react';
import type { Units } from '../../core/plan/planSchema.ts';
import {
  formatFine,
  formatLength,
  formatMass,
  formatTemperature,
  formatVolume,
  lyeFigure,
  massFigure,
} from '../../core/units/format.ts';

export interface Show {
  readonly mass: (g: number) => string;
  readonly massFigure: (g: number) => string;
  /** of lye or its solution: never shown as more than it is */
  readonly lye: (g: number) => string;
  /** on the fine scale: in g too, as doses and that scale are */
  readonly fine: (g: number) => string;
  readonly length: (mm: number) => string;
  readonly volume: (ml: number) => string;
  readonly temperature: (c: number) => string;
}

/** How a plan's units are shown. */
export const useShow = (units: Units): Show =>
  useMemo(
    () => ({
      mass: (g) => formatMass(g, units.mass, units.scaleStepG),
      massFigure: (g) => massFigure(g, units.mass, units.scaleStepG),
      lye: (g) => `${lyeFigure(g, units.mass, units.scaleStepG)} ${units.mass}`,
      fine: (g) => formatFine(g, units.mass, units.fineStepG),
      length: (mm) => formatLength(mm, units.length),
      volume: (ml) => formatVolume(ml, units.length),
      temperature: (c) => formatTemperature(c, units.temperature),
    }),
    [units],
  );
