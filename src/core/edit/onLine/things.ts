import { STARTER_COLORANTS } from '../../colorant/starters.ts';
import { beforeSettling, type PouredLayer, type PouredStack } from '../../fill/layers.ts';
import { columnsIn } from '../../mould/column.ts';
import { steepestTilt } from '../../mould/spill.ts';
import { isLevel, LEVEL, type Tilt } from '../../mould/tilt.ts';
import { canBeScraped } from '../../pattern/blocks.ts';
import { FINISHES, STICK_NAMES, TOP_MM, TOPS, WIRE_NAMES } from '../../pattern/knowHow.ts';
import type { WireWay } from '../../pattern/wirePath.ts';
import type { StickPath } from '../../plan/patternSchema.ts';
import type { Plan } from '../../plan/planSchema.ts';
import { scrapesOf } from '../../plan/scrapes.ts';
import type { Finish, Step } from '../../plan/stepSchema.ts';
import type { TopWay } from '../../plan/topSchema.ts';
import type { Millimetres } from '../../units/quantity.ts';
import type { StepId } from '../../validate/ids.ts';
import { WAY_KINDS, wayNamed } from '../../ways/ways.ts';
import { freshId } from '../freshId.ts';
import { addMicaLine } from '../micaLine.ts';
import { addPattern, addPull, addStroke } from '../pattern.ts';
import { addPot } from '../pots.ts';
import { addPour } from '../pours.ts';
import { addScrape } from '../scrape.ts';
import { addTop } from '../tops.ts';
import { newWait } from '../waits.ts';
import { addWire } from '../wire.ts';
import { gapIndex, intoGap, tiltAfter, whyNotBetween, type Gap } from './standing.ts';

/** A mould's part of the plan as it is laid: what things on the line are put into. */
export interface OnBench {
  readonly plan: Plan;
  readonly stack: PouredStack;
  readonly fill: { readonly heightMm: Millimetres };
}

interface Put {
  readonly plan: Plan;
  readonly stepId: StepId;
}

/** One of several ways that a thing can be put on the line in. */
export interface ThingWay {
  readonly way: string;
  readonly name: string;
  readonly says?: string;
}

/** Something that can be put on the line of drops. */
export interface Thing {
  readonly name: string;
  readonly says: string;
  /** the view that it is seen best in */
  readonly seen: 'section' | 'plan';
  /** asked for before it is put; none: there is one way */
  readonly ways?: (plan: Plan) => readonly ThingWay[];
  /** why it cannot be put there; undefined where it can */
  readonly whyNot: (on: OnBench, gap: Gap) => string | undefined;
  /** in this way, or its first */
  readonly put: (on: OnBench, gap: Gap, way?: string) => Put;
}

const between = ({ steps }: Plan, gap: Gap): readonly [before: readonly Step[], after: readonly Step[]] => {
  const at = gapIndex(steps, gap);
  return [steps.slice(0, at), steps.slice(at)];
};

const whyNot =
  (kind: Step['kind']): Thing['whyNot'] =>
  ({ plan }, gap) =>
    whyNotBetween(...between(plan, gap), { kind });

const named = (names: Readonly<Record<string, string>>): readonly ThingWay[] =>
  Object.entries(names).map(([way, name]) => ({ way, name }));

const at = (put: Put, gap: Gap): Put => ({ ...put, plan: intoGap(put.plan, put.stepId, gap) });

const inserted = (plan: Plan, step: Step, gap: Gap): Put => ({
  plan: { ...plan, steps: plan.steps.toSpliced(gapIndex(plan.steps, gap), 0, step) },
  stepId: step.id,
});

/** The layer that lies on top at a gap, as it was poured. */
function layerAt({ plan, stack }: OnBench, gap: Gap): PouredLayer | undefined {
  const last = between(plan, gap)[0].findLast((s) => s.kind === 'pour');
  const layer = stack.layers.find((l) => l.pour.id === last?.id);
  return layer && beforeSettling(layer);
}

/** The usual slope, degrees: common practice, no source. */
const USUAL_DEG = 10;

/** So much less steep than what just holds, degrees. */
const SPARE_DEG = 1;

/**
 * Turned back level where the mould is tilted; else by the usual slope, or as far as the pours after it hold.
 */
function usualTilt({ plan, stack }: OnBench, gap: Gap): Tilt {
  const [before, after] = between(plan, gap);
  if (!isLevel(tiltAfter(before))) return LEVEL;
  const turn = after.findIndex((s) => s.kind === 'tilt');
  const held = after.slice(0, turn < 0 ? after.length : turn).flatMap((step) => {
    const layer = stack.layers.find((l) => l.pour.id === step.id);
    return layer ? [steepestTilt(layer.room, layer, LEVEL, layer.volumeMl)] : [];
  });
  return {
    ...LEVEL,
    rollDeg: Math.max(1, Math.floor(Math.min(USUAL_DEG, ...held.map((d) => d - SPARE_DEG)))),
  };
}

/** All is in, the mould is propped: it is set level while all is fluid. */
const endsPropped = (plan: Plan, gap: Gap): boolean => {
  const [before, after] = between(plan, gap);
  return after.every((s) => s.kind !== 'pour') && !isLevel(tiltAfter(before));
};

const MINUTES = 5;

/** What can be put on the line, in the order it is offered: a list, to which more is added. */
export const THINGS = {
  pour: {
    name: 'Pour',
    says: 'a layer, out of a pot of its own',
    seen: 'section',
    whyNot: whyNot('pour'),
    put: (on, gap) => {
      const pot = addPot(on.plan);
      return at(addPour(pot.plan, pot.potId, layerAt(on, gap)?.pour.compartment), gap);
    },
  },
  rounds: {
    name: 'In rounds',
    says: 'pots in turn, pushing aside what is fluid',
    seen: 'plan',
    ways: () =>
      WAY_KINDS.map((kind) => {
        const { name, says } = wayNamed(kind).know;
        return { way: kind, name, says };
      }),
    whyNot: whyNot('pour'),
    put: ({ plan }, gap, way) => {
      const kind = WAY_KINDS.find((k) => k === way) ?? WAY_KINDS[0];
      if (kind === undefined) throw new RangeError('there is no way of pouring in rounds');
      return at(addPattern(plan, wayNamed(kind).first), gap);
    },
  },
  tilt: {
    name: 'Tilt',
    says: 'the mould propped, or set level again',
    seen: 'section',
    whyNot: ({ plan }, gap) =>
      whyNotBetween(...between(plan, gap), {
        kind: 'tilt',
        ...(endsPropped(plan, gap) ? { fluid: true } : {}),
      }),
    put: (on, gap) =>
      inserted(
        on.plan,
        {
          id: freshId('t', on.plan.steps),
          kind: 'tilt',
          ...usualTilt(on, gap),
          ...(endsPropped(on.plan, gap) ? { fluid: true } : {}),
        },
        gap,
      ),
  },
  wait: {
    name: 'Wait',
    says: 'some minutes, or until what lies there is so thick',
    seen: 'section',
    whyNot: whyNot('wait'),
    put: (on, gap) =>
      inserted(on.plan, newWait(on.plan, layerAt(on, gap)?.pour, { kind: 'minutes', minutes: MINUTES }), gap),
  },
  stick: {
    name: 'Stick',
    says: 'drawn through what is fluid, seen from above',
    seen: 'plan',
    ways: () => [
      ...named(STICK_NAMES),
      ...named(STICK_NAMES).map(({ way, name }) => ({
        way: `${way} top`,
        name: `${name}, through the top alone`,
      })),
    ],
    whyNot: whyNot('stroke'),
    put: ({ plan, fill }, gap, way = 'fan') => {
      const [kind, top] = way.split(' ') as [StickPath['kind'], string?];
      const deepMm = Math.max(1, Math.round(fill.heightMm));
      return at(
        top === undefined ? addStroke(plan, kind, deepMm) : addStroke(plan, kind, TOP_MM, { forTop: true }),
        gap,
      );
    },
  },
  wire: {
    name: 'Wire',
    says: 'from end to end, drawn through the section',
    seen: 'section',
    ways: () => named(WIRE_NAMES),
    whyNot: whyNot('wire'),
    put: ({ plan, fill }, gap, way = 'floor') => at(addWire(plan, way as WireWay, fill.heightMm), gap),
  },
  scrape: {
    name: 'Scrape',
    says: 'the layer drawn off to a profile',
    seen: 'section',
    whyNot: (on, gap) => {
      const why = whyNot('scrape')(on, gap);
      const layer = layerAt(on, gap);
      if (why !== undefined || !layer) return why;
      if (scrapesOf(on.plan).has(layer.pour.id)) return 'that layer is scraped already';
      return canBeScraped({ plan: on.plan, stack: on.stack }, layer)
        ? undefined
        : 'what lies there is pushed about with other pours: only a layer by itself is scraped';
    },
    put: (on, gap) => {
      const layer = layerAt(on, gap);
      if (!layer) throw new RangeError('there is no layer to scrape');
      return addScrape(on.plan, layer);
    },
  },
  line: {
    name: 'Line',
    says: 'a thin line of a colorant over the layer',
    seen: 'section',
    whyNot: whyNot('mica'),
    put: (on, gap) => {
      const layer = layerAt(on, gap);
      const known = on.plan.colorants.flatMap(({ id, name, nature }) =>
        nature ? [{ id, name, nature }] : [],
      );
      const colorant = known[0] ?? STARTER_COLORANTS[0];
      if (!layer || !colorant) throw new RangeError('there is no layer to put a line on');
      return at(addMicaLine(on.plan, layer, colorant), gap);
    },
  },
  top: {
    name: 'Top',
    says: 'heaped, pressed, piped or strewn, once all is poured',
    seen: 'plan',
    ways: () => (Object.keys(TOPS) as TopWay['top'][]).map((way) => ({ way, ...TOPS[way] })),
    whyNot: whyNot('top'),
    put: ({ plan }, gap, way = 'mound') => at(addTop(plan, way as TopWay['top']), gap),
  },
  pull: {
    name: 'Pull',
    says: 'the columns pulled, their holes filled',
    seen: 'plan',
    whyNot: (on, gap) => {
      if (columnsIn(on.plan.mould).length === 0) return 'no column stands in this mould';
      if (on.plan.steps.some((s) => s.kind === 'pull')) return 'they are pulled already';
      return whyNot('pull')(on, gap);
    },
    put: ({ plan }, gap) => {
      const pulled = addPull(plan);
      const stepId = pulled.steps.find((s) => s.kind === 'pull')?.id ?? '';
      return at({ plan: pulled, stepId }, gap);
    },
  },
  finish: {
    name: 'Finish',
    says: 'misted, wrapped, heated or left cool',
    seen: 'section',
    ways: ({ steps }) =>
      named(FINISHES).filter(({ way }) => !steps.some((s) => s.kind === 'finish' && s.what === way)),
    whyNot: (on, gap) => {
      const done = on.plan.steps.filter((s) => s.kind === 'finish').length;
      return done < Object.keys(FINISHES).length
        ? whyNot('finish')(on, gap)
        : 'all of them are there already';
    },
    put: ({ plan }, gap, way = 'mist') =>
      inserted(plan, { id: freshId('f', plan.steps), kind: 'finish', what: way as Finish['what'] }, gap),
  },
} as const satisfies Readonly<Record<string, Thing>>;

export type ThingName = keyof typeof THINGS;
