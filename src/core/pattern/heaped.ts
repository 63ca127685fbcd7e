import { digestOf } from '../task/digest.ts';
import type { LaidMould } from '../fill/laid.ts';
import { outlineOnMat } from '../fill/ridges.ts';
import { outlineAtTop, topOfRoom, topsOf } from '../fill/tops.ts';
import type { TopThing } from '../fill/laidTop.ts';
import { heightWith, highestOf, surfaceUnder, type HeapSpec, type Thing } from '../flow/heap.ts';
import type { Uneven } from '../flow/uneven.ts';
import type { Polyhedron } from '../geometry/polyhedron.ts';
import { standingPrism } from '../geometry/prism.ts';
import type { PouredLayer } from '../fill/layers.ts';
import type { Room } from '../mould/rooms.ts';
import type { Millimetres } from '../units/quantity.ts';
import type { Block } from './body.ts';

type Laid = Pick<LaidMould, 'plan' | 'stack' | 'geometry'>;

/** A prism in plan, from one height to another. */
function upright(outline: readonly (readonly [number, number])[], low: number, high: number): Polyhedron {
  const { faces } = standingPrism(outline, high - low);
  return { faces: faces.map((face) => face.map(([x, y, z]) => [x, y, z + low] as const)) };
}

/** Its surface, where that is no plane. */
function unevenOf({ scraping, rough }: PouredLayer): Uneven | undefined {
  if (rough) {
    const { axis, ground, lumps, dents } = rough;
    return { axis, ground, ...(lumps ? { lumps } : {}), ...(dents ? { dents } : {}) };
  }
  return scraping && { axis: scraping.axis, ground: scraping.ground };
}

/** From its lowest place to its highest, mm; 0 where it is a plane. */
function unevenOfMm({ scraping, rough }: PouredLayer): Millimetres {
  const surface = scraping ?? rough;
  return surface ? surface.highestMm - surface.lowestMm : 0;
}

/** Where the surfaces end that things lie on. */
function surfacesIn(layers: readonly PouredLayer[]): Pick<HeapSpec, 'planes' | 'uneven'> {
  const last = layers.at(-1);
  const uneven = last && unevenOf(last);
  const plain = uneven ? layers.slice(0, -1) : layers;
  return {
    planes: plain.filter((l) => !unevenOf(l)).map(({ up, offset }) => ({ up, offset })),
    ...(uneven ? { uneven } : {}),
  };
}

/**
 * Places across and along each thing that it is looked at in; between them it can be so much higher, as a
 * part of it, and on a slope so many mm.
 */
const LOOKS = 7;
const BETWEEN = 0.04;
const SLACK = 0.3;

/** The highest place of a thing with what lies under and over it. */
function topOfThing(thing: Thing, height: (x: number, y: number) => number): Millimetres {
  let most = -Infinity;
  for (let i = 0; i < LOOKS; i += 1)
    for (let j = 0; j < LOOKS; j += 1) {
      const [u, v] = [(2 * i) / (LOOKS - 1) - 1, (2 * j) / (LOOKS - 1) - 1];
      most = Math.max(most, height(thing.x + u * thing.halfX, thing.y + v * thing.halfY));
    }
  // the crests of a row can lie between the places
  return most + (highestOf(thing) - thing.mm) + BETWEEN * thing.mm + SLACK;
}

/** Of more things than this each is looked at in its middle, and may stand so much higher beside it. */
const MANY = 600;

/**
 * The lowest place of a top, and the highest of what lies on it. `unevenMm` is how far its surface goes up
 * and down about its middle.
 */
function reachOf(
  outline: readonly (readonly [number, number])[],
  heap: HeapSpec,
  unevenMm: Millimetres,
): readonly [low: Millimetres, high: Millimetres] {
  const { planes, uneven, things } = heap;
  const surface = surfaceUnder(planes, uneven);
  const height = heightWith(heap);
  let low = Math.min(...outline.map(([x, y]) => surface(x, y)));
  let [sunk, high] = [0, -Infinity];
  for (const t of things) {
    low = Math.min(low, surface(t.x, t.y));
    if (t.form === 'rod') sunk = Math.max(sunk, t.sinkMm);
    high = Math.max(high, things.length > MANY ? height(t.x, t.y) + t.mm : topOfThing(t, height));
  }
  return [low - sunk - unevenMm, high];
}

/**
 * The ridges of one compartment, which filled the hollows of the mat under it: a body of its own below all
 * that is poured into it.
 */
export function ridgesIn(laid: Laid, room: Room, layers: readonly PouredLayer[]): Block | undefined {
  const [first] = layers;
  const nth = laid.geometry.rooms.indexOf(room);
  const ridges = topsOf(laid).find((t) => t.step.kind === 'ridges');
  const [own] = ridges?.parts ?? [];
  const placed = own?.things.find((t) => t.room === nth);
  if (!first || !ridges || !own || !placed) return undefined;
  const { room: _room, volumeMl: _volume, ...thing } = placed;
  const heap: HeapSpec = { planes: [], things: [{ ...thing, deposit: 0 }], hangs: true };
  return {
    content: { kind: 'heaped', keys: [own.key], key: digestOf(JSON.stringify(heap)), heap },
    solid: upright(outlineOnMat(room), 0 - thing.mm, 0),
    layers: [{ ...first, pour: { ...first.pour, id: ridges.step.id } }],
    room,
  };
}

/**
 * What lies on top of one compartment, as a body of its own over all that is poured into it; undefined where
 * nothing does.
 */
export function heapIn(laid: Laid, room: Room, layers: readonly PouredLayer[]): Block | undefined {
  const last = layers.at(-1);
  const nth = laid.geometry.rooms.indexOf(room);
  const keys: string[] = [];
  const numberOf = (key: string): number => (keys.includes(key) ? keys.indexOf(key) : keys.push(key) - 1);
  const tops = topsOf(laid).filter((t) => t.step.kind === 'top');
  const placed = tops.flatMap(({ parts }) =>
    parts.flatMap((p) =>
      p.things.flatMap((t: TopThing): Thing[] => {
        if (t.room !== nth) return [];
        const { room: _room, volumeMl: _volume, ...thing } = t;
        return [{ ...thing, deposit: numberOf(p.key) }];
      }),
    ),
  );
  const [top] = tops;
  if (!last || !top || placed.length === 0) return undefined;
  const surfaces = surfacesIn(layers);
  const outline = outlineAtTop(room, topOfRoom(room, laid.stack));
  const heap: HeapSpec = { ...surfaces, things: placed };
  const [low, high] = reachOf(outline, heap, unevenOfMm(last));
  return {
    content: { kind: 'heaped', keys, key: digestOf(JSON.stringify(heap)), heap },
    solid: upright(outline, low, high),
    layers: [{ ...last, pour: { ...last.pour, id: top.step.id } }],
    room,
  };
}
