import type { OmbreId } from '../validate/ids.ts';
import type { Colorant } from '../colorant/schema.ts';
import { layPlan } from '../fill/layPlan.ts';
import { columnsIn } from '../mould/column.ts';
import { insideOf } from '../mould/inside.ts';
import { isCavity, type Mould } from '../mould/schema.ts';
import { checkPlan } from '../plan/checkPlan.ts';
import { tooRound } from '../pattern/wireRoom.ts';
import { newPlan } from '../plan/newPlan.ts';
import type { Plan, Units } from '../plan/planSchema.ts';
import { evenAll } from './even.ts';
import { takeMould } from './mould.ts';
import { setLayers, startOmbre, updateOmbre } from './ombre.ts';
import { plainPour } from './plainPour.ts';
import { pushedAside } from './pushedAside.ts';
import { onMat } from './mat.ts';
import { pipedTop } from './pipedTop.ts';
import { sculptedLayers } from './scrape.ts';
import { finishLevel, setTilt, zigzag } from './tilt.ts';
import { earlyTurns, waitsBeforeTurns } from './turns.ts';
import { isRound } from '../mould/round.ts';

/** A way of pouring that a plan can begin from. */
export interface Beginning {
  readonly id: string;
  readonly name: string;
  readonly says: string;
  /** where its maker goes on first */
  readonly opens: 'mould' | 'design' | 'batter';
  /** how many layers, and which colours, are asked for; a colorant, of which it is graded */
  readonly asks: { readonly layers: boolean; readonly colours: boolean; readonly colorant: boolean };
}

const ALL = { layers: true, colours: true, colorant: false };
const GRADED = { layers: true, colours: false, colorant: true };
const NOTHING = { layers: false, colours: false, colorant: false };

export const BEGINNINGS = [
  { id: 'layers', name: 'Straight layers', says: 'level, one on another', opens: 'design', asks: ALL },
  {
    id: 'slant',
    name: 'One slant',
    says: 'the mould propped on one side, level at the end',
    opens: 'design',
    asks: ALL,
  },
  {
    id: 'zigzag',
    name: 'Slants that alternate',
    says: 'propped on one side and the other in turn',
    opens: 'design',
    asks: ALL,
  },
  { id: 'ombre', name: 'Ombre', says: 'pale to deep in one pot, level', opens: 'design', asks: GRADED },
  {
    id: 'ombre-slope',
    name: 'Ombre on a slope',
    says: 'thin passes with the mould propped',
    opens: 'design',
    asks: GRADED,
  },
  {
    id: 'ombre-blends',
    name: 'Ombre, blends of two stocks',
    says: 'every layer blended from a pale and a deep one',
    opens: 'design',
    asks: GRADED,
  },
  {
    id: 'two-soaps',
    name: 'Two soaps side by side',
    says: 'a divider down the middle, a pot on each side',
    opens: 'design',
    asks: { ...ALL, layers: false },
  },
  {
    id: 'column',
    name: 'Column pour',
    says: 'colours in rotation over a column, then a fan of strokes',
    opens: 'design',
    asks: { ...ALL, layers: false },
  },
  {
    id: 'corner',
    name: 'Corner pour',
    says: 'in rounds into one corner, strokes fanning out of it',
    opens: 'design',
    asks: { ...ALL, layers: false },
  },
  {
    id: 'centre-line',
    name: 'Centre line',
    says: 'every colour in a line along the middle',
    opens: 'design',
    asks: { ...ALL, layers: false },
  },
  {
    id: 'wall',
    name: 'Down one wall',
    says: 'colours in rotation down a long wall',
    opens: 'design',
    asks: { ...ALL, layers: false },
  },
  {
    id: 'two-sided',
    name: 'Drawn-in drop',
    says: 'lines along the middle, then the rest down both walls at once',
    opens: 'design',
    asks: { ...ALL, layers: false },
  },
  {
    id: 'drops',
    name: 'Drops',
    says: 'thin streams let fall into a base',
    opens: 'design',
    asks: { ...ALL, layers: false },
  },
  {
    id: 'pointed',
    name: 'Pointed layers',
    says: 'close lines that sink in as points, layer after layer',
    opens: 'design',
    asks: { ...ALL, layers: false },
  },
  {
    id: 'in-the-pot',
    name: 'In-the-pot swirl',
    says: 'accents stirred once or twice into one jug, and poured',
    opens: 'design',
    asks: { ...ALL, layers: false },
  },
  {
    id: 'split-jug',
    name: 'Split jug',
    says: 'colours side by side in one jug, poured in wiggles',
    opens: 'design',
    asks: { ...ALL, layers: false },
  },
  {
    id: 'wire',
    name: 'Wire through layers',
    says: 'level layers, then a wire in waves through all of them',
    opens: 'design',
    asks: ALL,
  },
  {
    id: 'sculpted',
    name: 'Sculpted layers',
    says: 'each scraped to waves once it is thick, the next spooned over',
    opens: 'design',
    asks: ALL,
  },
  {
    id: 'piped',
    name: 'Mound and piping',
    says: 'level layers, heaped to one side and piped from a second batch',
    opens: 'design',
    asks: ALL,
  },
  {
    id: 'upside-down',
    name: 'Made upside down',
    says: 'on a texture mat, a tint in its hollows, layers in reverse',
    opens: 'design',
    asks: ALL,
  },
  {
    id: 'recipe',
    name: 'A recipe only',
    says: 'one plain pot that fills the mould',
    opens: 'batter',
    asks: NOTHING,
  },
  {
    id: 'blank',
    name: 'Blank',
    says: 'a mould and one pot, nothing poured yet',
    opens: 'mould',
    asks: NOTHING,
  },
] as const satisfies readonly Beginning[];

export type BeginningId = (typeof BEGINNINGS)[number]['id'];

/** What a maker has chosen before a plan begins. */
export interface Chosen {
  readonly planId: string;
  readonly now: string;
  readonly units: Units | undefined;
  readonly mould: Mould;
  readonly layers: number;
  readonly colours: readonly { readonly name: string; readonly colour: string }[];
  readonly colorant: Colorant;
}

/** A slope that a level mould of usual depth takes without spilling. A judgement, no source. */
const SLOPE_DEG = 8;

/** Nobody makes a batch for one cavity. */
const CAVITIES = 6;

const LETTERS = 'ABCDEFGHIJKLMNOPQRSTUVWXYZ';

/** Pots of the chosen colours, poured in turn. */
function layered(plan: Plan, colours: Chosen['colours'], layers: number): Plan {
  const pots = colours.slice(0, Math.max(1, layers)).map(({ name, colour }, i): Plan['pots'][number] => ({
    id: `p${i + 1}`,
    letter: LETTERS.charAt(i),
    name,
    colour,
    stage: 1,
    colorants: [],
  }));
  const steps = Array.from({ length: layers }, (_, i) => plainPour(i + 1, pots[i % pots.length]?.id ?? 'p1'));
  return evenAll({ ...plan, pots, steps });
}

/** Before the mould is turned what was poured last has to hold its slope: waits for that. */
const held = (plan: Plan): Plan => waitsBeforeTurns(plan, earlyTurns(plan, layPlan(plan).stack.layers));

/** The middle of a mould's floor, across: where a divider parts it into two alike. */
const halfWidth = (mould: Mould): number => {
  const { shape } = mould;
  return isRound(shape) ? shape.diameterMm / 2 - mould.linerMm : insideOf(shape, mould).floor.width / 2;
};

function graded(
  plan: Plan,
  { colorant, layers }: Chosen,
): { readonly plan: Plan; readonly ombreId: OmbreId } {
  const { plan: started, ombreId } = startOmbre(
    layered(plan, [{ name: 'Plain', colour: '#f0e6d0' }], 2),
    'whole-loaf',
    colorant,
  );
  return { plan: setLayers(started, ombreId, Math.max(2, layers)), ombreId };
}

function built(id: BeginningId, plan: Plan, chosen: Chosen): Plan {
  const { colours, layers, mould } = chosen;
  switch (id) {
    case 'layers':
      return layered(plan, colours, layers);
    case 'slant': {
      const level = layered(plan, colours, layers);
      return held(finishLevel(setTilt(level, 's1', { rollDeg: SLOPE_DEG, pitchDeg: 0 })));
    }
    case 'zigzag': {
      const level = layered(plan, colours, layers);
      return held(zigzag(level, layPlan(level).stack.layers, 'edge', SLOPE_DEG));
    }
    case 'ombre':
      return graded(plan, chosen).plan;
    case 'ombre-slope': {
      const level = graded(plan, chosen).plan;
      const first = level.steps.find((s) => s.kind === 'pour')?.id ?? '';
      return held(finishLevel(setTilt(level, first, { rollDeg: SLOPE_DEG, pitchDeg: 0 })));
    }
    case 'ombre-blends': {
      const { plan: level, ombreId } = graded(plan, chosen);
      return updateOmbre(level, ombreId, { school: 'master-blends' });
    }
    case 'two-soaps': {
      const two = layered(plan, colours, 2);
      return {
        ...two,
        mould: { ...mould, divider: { runs: 'lengthwise', thicknessMm: 2, atMm: [halfWidth(mould)] } },
        steps: two.pots.slice(0, 2).map((p, i) => plainPour(i + 1, p.id, i)),
      };
    }
    case 'column':
    case 'corner':
    case 'centre-line':
    case 'wall':
    case 'two-sided':
    case 'drops':
    case 'pointed':
    case 'in-the-pot':
    case 'split-jug':
    case 'wire':
      return pushedAside(id, layered(plan, colours, id === 'wire' ? layers : colours.length));
    case 'sculpted':
      return sculptedLayers(layered(plan, colours, layers));
    case 'piped':
      return pipedTop(layered(plan, colours, layers));
    case 'upside-down':
      return onMat(layered(plan, colours, layers));
    case 'recipe':
      return {
        ...layered(plan, [{ name: 'Plain', colour: '#f0e6d0' }], 1),
        pots: [{ id: 'p1', letter: 'A', name: 'Plain', stage: 1, colorants: [] }],
      };
    case 'blank':
      return { ...layered(plan, colours.slice(0, 1), 1), steps: [] };
  }
}

/** The plan that a beginning makes of what was chosen; undefined where that mould cannot have it. */
export function beginPlan(id: BeginningId, chosen: Chosen): Plan | undefined {
  const { planId, now, units, mould } = chosen;
  if (id === 'wire' && tooRound(mould.shape, 'lengthwise') !== undefined) return undefined;
  // a tube closes in above, or has no ends
  if (id === 'sculpted' && mould.shape.kind === 'tube') return undefined;
  // neither a wire nor a scraper goes through what stands there, and a column does not stand on a wall
  if ((id === 'wire' || id === 'sculpted') && columnsIn(mould).length > 0) return undefined;
  if (id === 'column' && mould.divider) return undefined;
  const taken = takeMould(newPlan(planId, now, units), mould);
  const fresh = isCavity(mould) ? { ...taken, fill: { ...taken.fill, copies: CAVITIES } } : taken;
  const { name } = BEGINNINGS.find((b) => b.id === id) ?? BEGINNINGS[0];
  const plan = { ...built(id, { ...fresh, steps: [] }, chosen), name: id === 'blank' ? 'New plan' : name };
  return checkPlan(plan).length === 0 ? plan : undefined;
}
