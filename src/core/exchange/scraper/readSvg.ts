import { XMLParser } from 'fast-xml-parser';
import svgpath from 'svgpath';
import * as v from 'valibot';
import { MOST_EDGE_POINTS, type ScraperEdge } from '../../plan/scrapeSchema.ts';
import { fail, ok, type Result } from '../../result/result.ts';
import type { Millimetres } from '../../units/quantity.ts';
import { EDGE_ID } from './writeSvg.ts';

/** A scraper's edge as it was drawn, and how deep it is. */
export interface ReadEdge {
  readonly edge: Extract<ScraperEdge, { kind: 'drawn' }>;
  readonly reliefMm: Millimetres;
  readonly wideMm: Millimetres;
}

/** More points than this no edge needs. */
const MOST_READ = 20_000;

/** Straight pieces that a curve is taken in. */
const PIECES = 16;

/**
 * A pixel of a drawing that gives no unit, mm: 96 to the inch (CSS Values and Units, "Absolute Lengths", from
 * memory).
 */
const PIXEL = 25.4 / 96;

const UNITS: Readonly<Record<string, number>> = {
  mm: 1,
  cm: 10,
  in: 25.4,
  pt: 25.4 / 72,
  pc: 25.4 / 6,
  px: PIXEL,
  '': PIXEL,
};

type Spot = readonly [x: number, y: number];

const text = v.fallback(v.optional(v.string()), undefined);
const pathRecord = v.object({ '@d': v.string(), '@id': text, '@transform': text });
const svgRecord = v.looseObject({ '@width': text, '@viewBox': text });

/** Everything that is called a path in a drawing, however deep, with the transforms round it. */
function pathsIn(
  node: unknown,
  transforms: readonly string[],
): readonly { d: string; id: string; by: string }[] {
  if (Array.isArray(node)) return node.flatMap((n: unknown) => pathsIn(n, transforms));
  if (typeof node !== 'object' || node === null) return [];
  const own = '@transform' in node && typeof node['@transform'] === 'string' ? [node['@transform']] : [];
  return Object.entries(node).flatMap(([name, inside]) => {
    if (name.startsWith('@')) return [];
    if (name !== 'path') return pathsIn(inside, [...transforms, ...own]);
    const list: readonly unknown[] = Array.isArray(inside) ? inside : [inside];
    return list.flatMap((p) => {
      const path = v.safeParse(pathRecord, p);
      if (!path.success) return [];
      const { '@d': d, '@id': id = '', '@transform': last } = path.output;
      return [{ d, id, by: [...transforms, ...own, ...(last === undefined ? [] : [last])].join(' ') }];
    });
  });
}

/** mm to a unit of the drawing. */
function scaleOf({ '@width': width, '@viewBox': viewBox }: v.InferOutput<typeof svgRecord>): number {
  const written = /^\s*([\d.]+)\s*([a-z]*)\s*$/i.exec(width ?? '');
  const box = (viewBox ?? '')
    .trim()
    .split(/[\s,]+/)
    .map(Number);
  const unit = UNITS[written?.[2]?.toLowerCase() ?? ''] ?? PIXEL;
  const wide = Number(written?.[1] ?? NaN);
  const boxWide = box[2] ?? NaN;
  return wide > 0 && boxWide > 0 ? (wide * unit) / boxWide : PIXEL;
}

/**
 * Its points, straight from one to the next; undefined where it has more pieces than one, or goes on for too
 * long.
 */
function pointsOf(d: string, by: string): { readonly points: readonly Spot[]; readonly pieces: number } {
  const points: Spot[] = [];
  let pieces = 0;
  svgpath(d)
    .transform(by)
    .abs()
    .unshort()
    .unarc()
    .iterate((s, _, x, y) => {
      if (points.length > MOST_READ) return;
      const curve = (of: (t: number) => Spot): void => {
        for (let k = 1; k <= PIECES; k += 1) points.push(of(k / PIECES));
      };
      switch (s[0]) {
        case 'M':
          pieces += 1;
          points.push([s[1], s[2]]);
          break;
        case 'L':
          points.push([s[1], s[2]]);
          break;
        case 'H':
          points.push([s[1], y]);
          break;
        case 'V':
          points.push([x, s[1]]);
          break;
        case 'C': {
          const [, ax, ay, bx, by2, cx, cy] = s;
          curve((t) => {
            const u = 1 - t;
            const mix = (p: number, a: number, b: number, c: number): number =>
              u ** 3 * p + 3 * u * u * t * a + 3 * u * t * t * b + t ** 3 * c;
            return [mix(x, ax, bx, cx), mix(y, ay, by2, cy)];
          });
          break;
        }
        case 'Q': {
          const [, ax, ay, cx, cy] = s;
          curve((t) => {
            const u = 1 - t;
            const mix = (p: number, a: number, c: number): number => u * u * p + 2 * u * t * a + t * t * c;
            return [mix(x, ax, cx), mix(y, ay, cy)];
          });
          break;
        }
        default:
          break;
      }
    });
  return { points, pieces };
}

/** Back by this much of its width is a pen's dust, not a turn. */
const DUST = 1e-6;

/** Two points of an edge are at least so far apart, mm. */
const APART = 0.05;

/** The same edge with no more points than one may have. */
function thinned(points: readonly Spot[]): readonly Spot[] {
  const [first] = points;
  const last = points.at(-1);
  if (!first || !last || points.length <= MOST_EDGE_POINTS) return points;
  const at = (x: number): number => {
    const i = Math.max(
      1,
      points.findIndex((p) => p[0] >= x),
    );
    const [a, b] = [points[i - 1] as Spot, points[i] as Spot];
    return b[0] > a[0] ? a[1] + ((b[1] - a[1]) * (x - a[0])) / (b[0] - a[0]) : b[1];
  };
  return Array.from({ length: MOST_EDGE_POINTS }, (_, i): Spot => {
    const x = first[0] + ((last[0] - first[0]) * i) / (MOST_EDGE_POINTS - 1);
    return [x, at(x)];
  });
}

/**
 * The edge of a scraper out of an SVG drawing: its path of the id "edge", or the only one it has. From end to
 * end without turning back, up being up. Never throws; the fault says what is amiss and where.
 */
export function readScraperSvg(file: string): Result<ReadEdge> {
  const refused = (message: string): Result<never> => fail('not-a-scraper', message, 'file');
  let parsed: unknown;
  try {
    parsed = new XMLParser({
      ignoreAttributes: false,
      attributeNamePrefix: '@',
      processEntities: false,
    }).parse(file);
  } catch (error) {
    return refused(`it is no SVG drawing: ${error instanceof Error ? error.message : 'it cannot be read'}`);
  }
  const root = typeof parsed === 'object' && parsed !== null && 'svg' in parsed ? parsed.svg : undefined;
  const svg = v.safeParse(svgRecord, root);
  if (!svg.success) return refused('it is no SVG drawing');
  const paths = pathsIn(root, []);
  const path = paths.find((p) => p.id === EDGE_ID) ?? (paths.length === 1 ? paths[0] : undefined);
  if (!path)
    return refused(
      paths.length === 0
        ? 'there is no path in it'
        : `it has ${paths.length} paths: give the edge's the id "${EDGE_ID}"`,
    );
  const { points, pieces } = pointsOf(path.d, path.by);
  if (points.length > MOST_READ) return refused(`the path has more than ${MOST_READ} points`);
  if (points.some((p) => !p.every(Number.isFinite)) || points.length < 2)
    return refused('the path has no two points that can be read');
  if (pieces > 1) return refused(`the path is in ${pieces} pieces: an edge is in one`);
  const scale = scaleOf(svg.output);
  const first = points[0] as Spot;
  const forward = (points.at(-1) as Spot)[0] >= first[0];
  const run = (forward ? points : points.toReversed()).map(([x, y]): Spot => [x * scale, 0 - y * scale]);
  const start = run[0] as Spot;
  const wide = (run.at(-1) as Spot)[0] - start[0];
  const back = run.find((p, i) => i > 0 && p[0] < (run[i - 1] as Spot)[0] - DUST * Math.max(1, wide));
  if (back || wide < 1)
    return refused(
      wide < 1
        ? `the path is ${Number(Math.max(0, wide).toFixed(2))} mm wide from end to end`
        : `the path turns back ${Number(((back as Spot)[0] - start[0]).toFixed(1))} mm from its left end: an edge has one height at each place`,
    );
  const heights = run.map((p) => p[1]);
  const [low, high] = [Math.min(...heights), Math.max(...heights)];
  const relief = high - low;
  if (relief < 0.5 || relief > 200 || wide > 2000)
    return refused(
      relief < 0.5
        ? `the path is flat: ${Number(relief.toFixed(2))} mm from its lowest to its highest place`
        : `the path is ${Number(wide.toFixed(0))} mm wide and ${Number(relief.toFixed(0))} mm deep`,
    );
  const middle = start[0] + wide / 2;
  const apart: Spot[] = [];
  for (const p of thinned(run)) {
    const before = apart.at(-1);
    // a step straight up or down leans by as little as can be kept
    const x = before ? Math.max(p[0], before[0] + APART) : p[0];
    apart.push([x, p[1]]);
  }
  return ok({
    edge: {
      kind: 'drawn',
      points: apart.map(([x, z]) => ({
        acrossMm: Number((x - middle).toFixed(3)),
        part: Number(((z - low) / relief).toFixed(4)),
      })),
    },
    reliefMm: Number(relief.toFixed(2)),
    wideMm: Number(wide.toFixed(1)),
  });
}
