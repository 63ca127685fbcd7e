import { STARTER_MOULDS } from '../mould/starterMoulds.ts';
import type { CutSettings, Plan, Units } from './planSchema.ts';

/** A loaf is cut so to begin with. */
export const LOAF_CUT: CutSettings = {
  strips: 1,
  thicknessMm: 24,
  kerfMm: 0,
  trimStartMm: 5,
  trimEndMm: 5,
};

const FIRST_UNITS: Units = { length: 'mm', mass: 'g', temperature: 'C', scaleStepG: 1, fineStepG: 0.1 };

/** A fresh plan: a wooden loaf, a plain slow recipe, two pots and two even layers. */
export const newPlan = (id: string, now: string, units: Units = FIRST_UNITS): Plan => ({
  id,
  name: 'New plan',
  notes: '',
  created: now,
  changed: now,
  units,
  mould: STARTER_MOULDS[0] as Plan['mould'],
  fill: { to: { kind: 'headspace', headspaceMm: 8 }, copies: 1, overagePercent: 3, top: [] },
  batter: {
    oils: [
      { oil: 'olive', percent: 45 },
      { oil: 'coconut', percent: 25 },
      { oil: 'shea', percent: 10 },
      { oil: 'sunflower-high-oleic', percent: 20 },
    ],
    superfatPercent: 5,
    alkali: 'naoh',
    purityPercent: 99,
    water: { school: 'lye-concentration', value: 30 },
    partLiquids: [],
    additives: [],
    lateOils: [],
    fragrances: [],
    temperatures: { oilsC: 32, lyeC: 32, waterC: 18 },
  },
  divide: { kind: 'after-emulsion' },
  colorants: [],
  ombres: [],
  pots: [
    { id: 'p1', letter: 'A', name: 'Chalk', colour: '#ece4d2', stage: 1, colorants: [] },
    { id: 'p2', letter: 'B', name: 'Slate', colour: '#5f6c78', stage: 1, colorants: [] },
  ],
  steps: [
    {
      id: 's1',
      kind: 'pour',
      pot: 'p2',
      compartment: 0,
      amount: { kind: 'rest', parts: 1 },
      locked: false,
      landing: { how: 'low', fallMm: 20 },
    },
    {
      id: 's2',
      kind: 'pour',
      pot: 'p1',
      compartment: 0,
      amount: { kind: 'rest', parts: 1 },
      locked: false,
      landing: { how: 'spatula', fallMm: 7 },
    },
  ],
  cut: LOAF_CUT,
  clock: {},
  others: [],
});
