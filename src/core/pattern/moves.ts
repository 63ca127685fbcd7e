import type { LayerPart, PouredLayer } from '../fill/layers.ts';
import type { Box } from '../flow/box.ts';
import type { Move, Source } from '../flow/spec.ts';
import { corners } from '../geometry/polyhedron.ts';
import { dot } from '../geometry/vec.ts';
import type { Column } from '../mould/schema.ts';
import { MM3_PER_ML, type Size } from '../mould/geometry.ts';
import type { Plan } from '../plan/planSchema.ts';
import { heldKey, roundOf } from '../plan/sources.ts';
import { wayOf } from '../ways/ways.ts';
import type { Wire } from '../plan/stepSchema.ts';
import { blurOn } from '../setting/blur.ts';
import { plungeOf } from '../setting/plunge.ts';
import { sinkOf } from '../setting/spike.ts';
import type { Millimetres } from '../units/quantity.ts';
import { holesOf, holeVolumeMl } from './hole.ts';
import type { Numbered } from './numbering.ts';
import { wireWay } from './wirePath.ts';

const gcd = (a: number, b: number): number => (b === 0 ? a : gcd(b, a % b));

/** The volume of a part that one of `times` turns in a round takes. */
const turnMm3 = (layer: PouredLayer, part: LayerPart, times: number): number =>
  (layer.volumeMl * MM3_PER_ML * part.share) / times;

/**
 * How rough the border is that a layer leaves on what lies fluid below it; 0 where it was laid on what bears
 * it.
 */
export function roughOn(layer: PouredLayer, below: readonly PouredLayer[]): Millimetres {
  const under = below.at(-1);
  const { pour, densityGMl } = layer;
  if (!pour.onFluid || !under) return 0;
  const depthMm = below.reduce((s, l) => s + l.riseMm, 0);
  const stage = Math.min(...under.pots.map((p) => p.stage));
  return blurOn(stage, { ...pour.landing, densityGMl, depthMm });
}

/** A turn that raises the surface by less than this on the mean is not followed by itself, mm. */
const THINNEST_MM = 0.02;

/** What each round takes; rounds that are too thin to be told apart as one. */
function told({ riseMm }: PouredLayer, rounds: readonly number[], turns: number): readonly number[] {
  const most = Math.max(1, Math.floor(riseMm / THINNEST_MM / turns));
  const each = Math.ceil(rounds.length / most);
  return each === 1
    ? rounds
    : Array.from({ length: Math.ceil(rounds.length / each) }, (_, i) =>
        rounds.slice(i * each, (i + 1) * each).reduce((s, r) => s + r, 0),
      );
}

/** A pour as what it does to the block, round by round; `below`: what lies there fluid. */
export function risesOf(
  layer: PouredLayer,
  below: readonly PouredLayer[],
  box: Box,
  columns: readonly Column[],
  { numberOf }: Numbered<string>,
): readonly Move[] {
  const { pour } = layer;
  const roughMm = roughOn(layer, below);
  const rough = roughMm > 0 ? { roughMm } : {};
  const { pattern } = pour;
  const partOf = (pot: string): LayerPart | undefined => layer.parts.find((p) => p.pot.id === pot);
  if (!pattern)
    return layer.parts.map((part, i) => ({
      does: 'rise',
      source: { kind: 'level' },
      volumeMm3: turnMm3(layer, part, 1),
      plunge: 1,
      deposit: numberOf(part.key),
      ...(i === 0 ? rough : {}),
    }));
  const order = roundOf(pour);
  const { place } = pattern;
  const way = wayOf(place);
  const mixed = way.inOneJug?.(place);
  if (mixed) {
    const [first] = layer.parts;
    if (!first) return [];
    return [
      {
        does: 'rise',
        source: { kind: 'level' },
        volumeMm3: layer.volumeMl * MM3_PER_ML,
        plunge: 1,
        deposit: numberOf(first.key),
        ...rough,
        mixed: {
          how: mixed,
          parts: layer.parts.map((p) => ({ deposit: numberOf(p.key), share: p.share })),
        },
      },
    ];
  }
  const { fallMm } = pour.landing;
  const places = way.sources(place, { box, columns, sinkMm: 0 }).length;
  const turns = (order.length * places) / gcd(order.length, places);
  const all = pattern.rounds.reduce((s, r) => s + r, 0);
  // the same object for turns that come from the same places
  const known = new Map<number, readonly Source[]>();
  const sourcesAt = (sinkMm: Millimetres): readonly Source[] => {
    const sources = known.get(sinkMm) ?? way.sources(place, { box, columns, sinkMm });
    known.set(sinkMm, sources);
    return sources;
  };
  const reach = way.reachMm?.(place);
  return told(layer, pattern.rounds, turns).flatMap((round) =>
    Array.from({ length: turns }, (_, i): Move[] => {
      const pot = order[i % order.length] ?? pour.pot;
      const part = partOf(pot);
      if (!part) return [];
      const sinkMm = sinkOf(part.pot.stage, fallMm, layer.densityGMl);
      const source = sourcesAt(sinkMm)[i % places];
      if (!source) return [];
      const times = order.filter((p) => p === pot).length * (turns / order.length);
      return [
        {
          does: 'rise',
          source,
          volumeMm3: turnMm3(layer, part, times) * (round / all),
          plunge: plungeOf(part.pot.stage, fallMm, layer.densityGMl),
          deposit: numberOf(part.key),
          ...(reach === undefined ? {} : { reachMm: reach }),
        },
      ];
    }).flat(),
  );
}

/** From where to where the holes of some layers reach, square to the surface of one of them. */
function spanOf(holes: readonly PouredLayer[], { up }: PouredLayer): readonly [number, number] {
  let [low, high] = [Infinity, -Infinity];
  for (const layer of holes)
    for (const hole of holesOf(layer))
      for (const p of corners(hole)) {
        const at = dot(up, p);
        [low, high] = [Math.min(low, at), Math.max(high, at)];
      }
  return [low, high];
}

/**
 * What fills the holes of some layers, in the order that it is held back in, as a block sees it whose last
 * layer is `last`.
 */
export function fillOf(
  plan: Plan,
  holes: readonly PouredLayer[],
  last: PouredLayer,
  { numberOf }: Numbered<string>,
): Move {
  const holeMm3 = holeVolumeMl(holes) * MM3_PER_ML;
  const density = holes.at(-1)?.densityGMl ?? 1;
  let left = holeMm3;
  const parts = plan.fill.top.flatMap(({ pot, massG }) => {
    const volumeMm3 = Math.min(left, ((massG / plan.fill.copies) * MM3_PER_ML) / density);
    left -= volumeMm3;
    const stage = plan.pots.find((p) => p.id === pot)?.stage ?? 1;
    return volumeMm3 > 0
      ? [{ deposit: numberOf(heldKey(pot)), volumeMm3, plunge: plungeOf(stage, HOLE_FALL_MM, density) }]
      : [];
  });
  return { does: 'fill', parts, holeMm3, span: spanOf(holes, last) };
}

/** A hole is filled from low down. */
const HOLE_FALL_MM = 30;

/** How far round a wire batter goes along with it, of its girth: as for a stick. A judgement. */
const WIRE_REACH = 3;

/** Its way is followed in steps of so much of that. */
const WIRE_STEP = 0.15;

/** A wire that is made for a mould is so much shorter than its inside, mm. */
const WIRE_SPARE = 4;

/** How long a wire's straight part is; one that is made for the mould, by its floor. */
export const wireLong = ({ lies, longMm }: Wire, floor: Size): Millimetres =>
  longMm ?? (lies === 'lengthwise' ? floor.length : floor.width) - WIRE_SPARE;

/** A wire as what it does to the block: it lies in the middle of the mould's length. */
export function wireMove(wire: Wire, box: Box, floor: Size): Extract<Move, { does: 'wire' }> {
  const along = wire.lies === 'lengthwise';
  const middle = along ? (box.y0 + box.y1) / 2 : (box.x0 + box.x1) / 2;
  const half = wireLong(wire, floor) / 2;
  const widthMm = WIRE_REACH * wire.girthMm;
  return {
    does: 'wire',
    axis: along ? 0 : 1,
    path: wireWay(wire.points, Math.max(1, WIRE_STEP * widthMm)),
    widthMm,
    from: middle - half,
    to: middle + half,
  };
}
