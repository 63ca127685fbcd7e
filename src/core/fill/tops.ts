import { rememberedLast } from '../task/remembered.ts';
import type { LaidTop, TopPart, TopThing } from './laidTop.ts';
import { STREWN, volumeOfThing } from '../flow/heap.ts';
import { slice } from '../geometry/clip.ts';
import { MM3_PER_ML, type MouldGeometry } from '../mould/geometry.ts';
import type { Room } from '../mould/rooms.ts';
import type { Plan } from '../plan/planSchema.ts';
import { heldKey } from '../plan/sources.ts';
import type { Top } from '../plan/stepSchema.ts';
import type { PipedRow } from '../plan/topSchema.ts';
import type { Grams, Millilitres, Millimetres } from '../units/quantity.ts';
import { barGrid, type Footprint } from './barGrid.ts';
import { chordAt, ridgeMm3, spanOf, type Outline } from './chords.ts';
import type { PouredStack } from './layers.ts';
import { alongBar, onEachBar } from './onEachBar.ts';
import { ridgesStep, ridgesUnder } from './ridges.ts';

/** More things than this of one kind on one mould are not laid: nobody pipes as many. */
export const MOST_THINGS = 5000;

/** Of everything on a mould so many are drawn, and what is put on first; the rest only counts. */
export const MOST_DRAWN = 8000;

/**
 * A grain of coarse salt, g: a cube of 2 mm; how far it reaches in plan and how high it stands, mm. From
 * memory, 2.16 g/ml.
 */
const GRAIN = { massG: 0.017, radiusMm: 0.9, highMm: 1.4 } as const;

/** A wave of a rope is about as long as the rope is wide. A judgement, no source. */
const WAVE = 0.9;

type Laying = Pick<Plan, 'steps' | 'mould' | 'cut' | 'pots'>;

/** Where things lie: the top of each compartment in plan, and the bars that it is cut into. */
interface Ground {
  readonly outlines: readonly Outline[];
  readonly bars: readonly Footprint[];
}

/** How high the soap of a compartment stands in its middle, mm. */
export function topOfRoom(room: Room, { layers }: Pick<PouredStack, 'layers'>): Millimetres {
  const { x, y } = room.middle;
  const own = layers.filter((l) => l.room === room);
  const high = Math.max(0, ...own.map((l) => (l.offset - l.up[0] * x - l.up[1] * y) / l.up[2]));
  return Math.min(high, room.heightMm);
}

/** The top of a compartment in plan, anticlockwise, mm. */
export const outlineAtTop = (room: Room, heightMm: Millimetres): Outline =>
  slice(room.solid, {
    normal: [0, 0, 1],
    offset: Math.min(room.heightMm * (1 - 1e-6), Math.max(room.heightMm * 1e-3, heightMm)),
  }).map(([x, y]) => [x, y] as const);

/** A kind of thing that is put on, before it is laid. */
interface Wanted extends Omit<TopPart, 'things' | 'volumeMl'> {
  /** one of them, where all are alike; else they are few, and laid in any case */
  readonly eachMl?: Millilitres;
  readonly lay: () => readonly TopThing[];
}

const few = (
  key: string,
  things: readonly TopThing[],
  more: Pick<TopPart, 'pot' | 'massG'> = {},
): Wanted => ({ key, count: things.length, lay: () => things, ...more });

/** Laid; or what it comes to alone. */
function partOf({ lay, eachMl, ...part }: Wanted, drawn: boolean): TopPart {
  if (eachMl !== undefined && !drawn) return { ...part, things: [], volumeMl: part.count * eachMl };
  const things = lay();
  return { ...part, things, volumeMl: things.reduce((s, t) => s + t.volumeMl, 0) };
}

/** Round things in places on every bar, so many on each. */
function round(
  {
    key,
    bars,
    each,
    ...more
  }: Pick<TopPart, 'key' | 'pot' | 'massG'> & {
    readonly bars: readonly Footprint[];
    readonly each: number;
  },
  form: 'dome' | 'ball',
  { acrossMm, heightMm }: Pick<PipedRow, 'acrossMm' | 'heightMm'>,
  placesOn: (bar: Footprint) => readonly { readonly x: Millimetres; readonly y: Millimetres }[],
): Wanted {
  const half = acrossMm / 2;
  const shape = { form, halfX: half, halfY: half, mm: heightMm };
  const eachMl = volumeOfThing({ ...shape, x: 0, y: 0, deposit: 0 }) / MM3_PER_ML;
  const lay = (): readonly TopThing[] =>
    bars.flatMap((b) => placesOn(b).map(({ x, y }) => ({ ...shape, x, y, room: b.room, volumeMl: eachMl })));
  return { key, ...more, count: each * bars.length, eachMl, lay };
}

/** Bars of one compartment that lie behind each other. */
function columnsOf(bars: readonly Footprint[]): readonly (readonly [Footprint, ...Footprint[]])[] {
  const columns = new Map<string, [Footprint, ...Footprint[]]>();
  for (const bar of bars) {
    const key = `${bar.room} ${bar.x0.toFixed(3)} ${bar.x1.toFixed(3)}`;
    const column = columns.get(key);
    if (column) column.push(bar);
    else columns.set(key, [bar]);
  }
  return [...columns.values()];
}

/** A continuous row over each column of bars, and over the ends that are cut off. */
function ropes({ outlines, bars }: Ground, { offMm, acrossMm, heightMm }: PipedRow): readonly TopThing[] {
  return columnsOf(bars).flatMap((column): TopThing[] => {
    const [{ room, x0, x1 }] = column;
    const x = (x0 + x1) / 2 + offMm;
    const all = bars.filter((b) => b.room === room);
    const [near, far] = [Math.min(...column.map((b) => b.y0)), Math.max(...column.map((b) => b.y1))];
    const chord = chordAt(outlines[room] ?? [], 0, x);
    if (!chord) return [];
    const from = near <= Math.min(...all.map((b) => b.y0)) + 1e-6 ? chord[0] : near;
    const to = far >= Math.max(...all.map((b) => b.y1)) - 1e-6 ? chord[1] : far;
    if (to <= from) return [];
    const thing = {
      form: 'rope' as const,
      x,
      y: (from + to) / 2,
      halfX: acrossMm / 2,
      halfY: (to - from) / 2,
      mm: heightMm,
      waves: Math.max(1, Math.round((to - from) / (acrossMm * WAVE))),
    };
    return [{ ...thing, room, volumeMl: volumeOfThing({ ...thing, deposit: 0 }) / MM3_PER_ML }];
  });
}

function partsOf(step: Top, ground: Ground): readonly Wanted[] {
  const { way } = step;
  const { outlines, bars } = ground;
  switch (way.top) {
    case 'dents':
      return [];
    case 'mound': {
      const axis = way.runs === 'lengthwise' ? 0 : 1;
      const half = way.wideMm / 2;
      const things = outlines.flatMap((outline, room): TopThing[] => {
        const [low, high] = [spanOf(outline, 0), spanOf(outline, 1)];
        const [xm, ym] = [(low[0] + low[1]) / 2, (high[0] + high[1]) / 2];
        const long = [(low[1] - low[0]) / 2, (high[1] - high[0]) / 2] as const;
        const volumeMm3 = ridgeMm3(
          outline,
          axis,
          axis === 0 ? xm + way.offMm : ym + way.offMm,
          half,
          way.heightMm,
        );
        return volumeMm3 <= 0
          ? []
          : [
              {
                form: 'ridge',
                axis,
                x: axis === 0 ? xm + way.offMm : xm,
                y: axis === 1 ? ym + way.offMm : ym,
                halfX: axis === 0 ? half : long[0] + 1,
                halfY: axis === 1 ? half : long[1] + 1,
                mm: way.heightMm,
                room,
                volumeMl: volumeMm3 / MM3_PER_ML,
              },
            ];
      });
      return [few(heldKey(way.pot), things, { pot: way.pot })];
    }
    case 'piping':
      return way.rows.map((row): Wanted => {
        const { pot, offMm, perBar } = row;
        const key = heldKey(pot);
        return perBar === undefined
          ? few(key, ropes(ground, row), { pot })
          : round({ key, pot, bars, each: perBar }, 'dome', row, (b) => alongBar(b, offMm, perBar));
      });
    case 'pieces': {
      const each = way.rows * way.perBar;
      return [
        round({ key: step.id, massG: each * bars.length * way.massG, bars, each }, 'ball', way, (b) =>
          onEachBar(b, way.rows, way.perBar),
        ),
      ];
    }
    case 'straws': {
      const half = way.acrossMm / 2;
      const lay = (): readonly TopThing[] =>
        bars.flatMap((b) =>
          onEachBar(b, way.rows, way.perBar).map(({ x, y }): TopThing => ({
            form: 'rod',
            x,
            y,
            halfX: half,
            halfY: half,
            mm: way.standsMm,
            sinkMm: way.deepMm,
            room: b.room,
            volumeMl: 0,
          })),
        );
      return [{ key: step.id, massG: 0, count: way.rows * way.perBar * bars.length, eachMl: 0, lay }];
    }
    case 'salt':
      return [few(step.id, strewn(outlines, way.massG), { massG: way.massG })];
  }
}

/** Grains all over the tops of a mould's compartments, one in each square of the plan. */
function strewn(outlines: readonly Outline[], massG: Grams): readonly TopThing[] {
  const sides = outlines.map((o) => [spanOf(o, 0), spanOf(o, 1)] as const);
  const areas = sides.map(([[x0, x1], [y0, y1]]) => (x1 - x0) * (y1 - y0));
  const grains = massG / GRAIN.massG;
  const eachMm = Math.max(1, Math.sqrt((STREWN * areas.reduce((s, a) => s + a, 0)) / grains));
  return sides.map(([[x0, x1], [y0, y1]], room): TopThing => ({
    form: 'grains',
    x: (x0 + x1) / 2,
    y: (y0 + y1) / 2,
    halfX: (x1 - x0) / 2,
    halfY: (y1 - y0) / 2,
    mm: GRAIN.highMm,
    eachMm,
    radiusMm: Math.min(GRAIN.radiusMm, eachMm * 0.45),
    room,
    volumeMl: 0,
  }));
}

const kept = rememberedLast<readonly LaidTop[]>();

interface ToppedMould {
  readonly plan: Laying;
  readonly geometry: MouldGeometry;
  readonly stack: PouredStack;
}

/** What is put on top of a mould, in order, where it lies. Nothing on a mould that nothing is poured into. */
export const topsOf = ({ plan, geometry, stack }: ToppedMould): readonly LaidTop[] =>
  kept(stack, [], () => {
    if (stack.layers.length === 0) return [];
    const steps = plan.steps.filter((s) => s.kind === 'top');
    return [
      ...laidRidges(plan, geometry, stack),
      ...(steps.length === 0 ? [] : laidTops(plan, geometry, stack, steps)),
    ];
  });

/** What fills the hollows of the mat that a mould is poured on. */
function laidRidges(plan: Laying, geometry: MouldGeometry, { layers }: PouredStack): readonly LaidTop[] {
  const { mat } = plan.mould;
  if (!mat) return [];
  const step = ridgesStep(plan);
  const things = ridgesUnder(mat, geometry, (room) => layers.some((l) => l.room === room));
  return [{ step, parts: [partOf(few(heldKey(step.pot), things, { pot: step.pot }), true)] }];
}

function laidTops(
  plan: Laying,
  geometry: MouldGeometry,
  stack: PouredStack,
  steps: readonly Top[],
): readonly LaidTop[] {
  const heights = geometry.rooms.map((room) => topOfRoom(room, stack));
  const outlines = geometry.rooms.map((room, i) => outlineAtTop(room, heights[i] ?? 0));
  const filled = heights.map((h) => h > 0);
  const bars = barGrid(plan.mould, geometry, plan.cut, Math.max(...heights)).filter((b) => filled[b.room]);
  const ground = { outlines: outlines.map((o, i) => (filled[i] ? o : [])), bars };
  let drawn = 0;
  return steps.map((step): LaidTop => {
    const wanted = partsOf(step, ground);
    const count = wanted.reduce((s, p) => s + p.count, 0);
    if (count > MOST_THINGS) return { step, parts: [] };
    drawn += count;
    return { step, parts: wanted.map((w) => partOf(w, drawn <= MOST_DRAWN)) };
  });
}
