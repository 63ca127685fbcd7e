import { finish, type Task } from '../task/task.ts';
import { rememberedBy } from '../task/remembered.ts';
import { beforeSettling, type PouredLayer } from '../fill/layers.ts';
import type { LaidMould } from '../fill/laid.ts';
import { slopeToLevel, spaceUpTo, type Slope } from '../flow/settle.ts';
import { runLevel } from '../mould/stack.ts';
import type { Box } from '../flow/box.ts';
import { isInStar, starOf } from '../flow/outline.ts';
import type { Move, Spot } from '../flow/spec.ts';
import { clip } from '../geometry/clip.ts';
import { corners, type Polyhedron } from '../geometry/polyhedron.ts';
import type { Room } from '../mould/rooms.ts';
import { columnOutline } from '../mould/column.ts';
import type { Column } from '../mould/schema.ts';
import type { Plan } from '../plan/planSchema.ts';
import { isOneJug } from '../ways/ways.ts';
import type { Step, Stroke } from '../plan/stepSchema.ts';
import type { Millimetres } from '../units/quantity.ts';
import { nthOf, type Block, type Body } from './body.ts';
import { fillOf, risesOf, roughOn, wireMove } from './moves.ts';
import { numbering } from './numbering.ts';
import { keyOfBlock } from './blockKey.ts';
import { pathsOf } from './paths.ts';
import { heapIn, ridgesIn } from './heaped.ts';
import { LINE_MM, linesOn, withLines } from './lines.ts';
import { asPouredLayer, sculpted } from './sculpted.ts';
import { levelledPaths, levelledWire, type ToLevel } from './sloping.ts';

/** `hand`: 0 as drawn, 1 with the waver of a hand. */
type Laid = Pick<LaidMould, 'plan' | 'stack' | 'geometry'> & { readonly hand?: number };

/**
 * How far round a stick batter goes along with it, mm. A judgement: three times as wide as a chopstick's
 * ends.
 */
export const STICK_WIDTH: Readonly<Record<Stroke['end'], Millimetres>> = { thick: 18, thin: 9 };

const planBox = (solid: Polyhedron): Box => {
  const points = corners(solid);
  const xs = points.map((p) => p[0]);
  const ys = points.map((p) => p[1]);
  return { x0: Math.min(...xs), x1: Math.max(...xs), y0: Math.min(...ys), y1: Math.max(...ys) };
};

/** How far from the middle of what a stick goes round a column reaches that stands there. */
function freeOf(path: Stroke['path'], columns: readonly Column[], pulled: boolean): number {
  if (pulled || path.kind === 'lines' || path.kind === 'free') return 0;
  const { xMm, yMm } = path.about;
  const round = columns.map(columnOutline).find((o) => isInStar(starOf(o), xMm, yMm));
  return round ? Math.max(...round.map(([x, y]) => Math.hypot(x - xMm, y - yMm))) : 0;
}

/** A mould's floor as it is seen from above: that of its first compartment. */
export const floorBox = ({ geometry }: Pick<LaidMould, 'geometry'>): Box => planBox(geometry.rooms[0].solid);

/** The ways of the stick in a mould as it is seen from above, mm. */
export function strokePaths(
  { plan, geometry }: Pick<LaidMould, 'plan' | 'geometry'>,
  stroke: Stroke,
): readonly (readonly Spot[])[] {
  const [room] = geometry.rooms;
  const before = plan.steps.slice(
    0,
    plan.steps.findIndex((s) => s.id === stroke.id),
  );
  const pulled = before.some((s) => s.kind === 'pull');
  return pathsOf(stroke.path, planBox(room.solid), freeOf(stroke.path, room.columns, pulled));
}

/** What goes on in one room from one wait to the next. */
interface Stretch {
  readonly layers: PouredLayer[];
  readonly steps: Step[];
  /** all layers of the room that its columns stood in: their holes are filled as one */
  readonly holes: readonly PouredLayer[];
}

/** A step that pushes about what is fluid; setting the mould level does. */
const pushes = (step: Step): boolean =>
  step.kind === 'stroke' ||
  step.kind === 'wire' ||
  (step.kind === 'tilt' && step.fluid === true) ||
  (step.kind === 'pour' && (step.pattern !== undefined || step.onFluid === true));

const isMoved = ({ steps }: Stretch): boolean => steps.some(pushes);

/** Nothing is pushed about in it, but holes go through it that are filled with something else. */
const isPierced = ({ fill }: Pick<Plan, 'fill'>, { layers }: Stretch): boolean =>
  fill.top.length > 0 && layers.some((l) => l.blocked.length > 0);

/**
 * The stretches of a room, in order: a wait sets what is there, and so does turning the mould. What is
 * scraped is thick enough to stay.
 */
function stretchesOf(steps: readonly Step[], layers: readonly PouredLayer[]): readonly Stretch[] {
  const all: Stretch[] = [];
  const holes = layers.filter((l) => l.blocked.length > 0);
  let now: Stretch | undefined;
  let pulled = false;
  for (const step of steps) {
    if (step.kind === 'wait' || step.kind === 'tilt' || step.kind === 'scrape') {
      if (step.kind === 'tilt' && step.fluid) now?.steps.push(step);
      now = undefined;
      continue;
    }
    const layer = layers.find((l) => l.pour.id === step.id);
    if (step.kind === 'pour' && !layer) continue;
    // what would push the filled holes about too is drawn over them, as if they had set
    if (pulled && step.kind === 'pour' && step.pattern && !isOneJug(step.pattern.place)) now = undefined;
    pulled = step.kind === 'pull' || (pulled && now !== undefined);
    if (layer && !now) all.push((now = { layers: [], steps: [], holes }));
    if (layer) now?.layers.push(layer);
    now?.steps.push(step);
    // what is heaped by the spoonful is thick enough to stay
    if (layer?.rough) now = undefined;
  }
  return all;
}

/** Nothing was pushed about but one pour by itself: what a scraper takes is of that pour alone. */
function isAlone(stretch: Stretch): boolean {
  if (!isMoved(stretch)) return true;
  const [layer] = stretch.layers;
  const pattern = layer?.pour.pattern;
  return stretch.layers.length === 1 && (layer?.parts.length === 1 || (!!pattern && isOneJug(pattern.place)));
}

/**
 * How rough the border is that a layer leaves on what lies fluid below it, mm either way, and what that is; 0
 * where it waits until it is borne.
 */
export function roughnessOf(
  { plan, stack }: Pick<Laid, 'plan' | 'stack'>,
  layer: PouredLayer,
): { readonly roughMm: Millimetres; readonly below?: PouredLayer } {
  if (!layer.pour.onFluid) return { roughMm: 0 };
  const stretch = stretchesOf(
    plan.steps,
    stack.layers.filter((l) => l.room === layer.room),
  ).find((s) => s.layers.includes(layer));
  const under = stretch?.layers.slice(0, stretch.layers.indexOf(layer)) ?? [];
  const below = under.at(-1);
  return { roughMm: roughOn(layer, under), ...(below ? { below } : {}) };
}

/** A layer that can be scraped: of what lies there fluid, all is of its pour. */
export const canBeScraped = ({ plan, stack }: Pick<Laid, 'plan' | 'stack'>, layer: PouredLayer): boolean =>
  stretchesOf(
    plan.steps,
    stack.layers.filter((l) => l.room === layer.room),
  ).some((s) => isAlone(s) && s.layers.includes(layer));

/**
 * What went on in a stretch as one block. In a tilted mould it is told as it would lie level: each place of
 * it by its share of the volume. What is drawn through it there goes where its way would then be.
 */
function* blockOf(
  laid: Pick<Laid, 'plan' | 'geometry'>,
  room: Room,
  stretch: Stretch,
  hand: number,
): Task<never, Block | undefined> {
  const [first] = stretch.layers;
  const last = stretch.layers.at(-1);
  if (!first || !last) return undefined;
  const sloping = last.settled ?? last;
  if (sloping.up[2] > 1 - 1e-12 || first.blocked.length > 0)
    return yield* movedBlock(laid, room, stretch, hand, undefined);
  const run = last.settled ? undefined : runLevel(stretch.layers, first).layers;
  const level = stretch.layers.map((l, i): PouredLayer => ({ ...l, ...run?.[i] }));
  const head = Math.max(
    level.at(-1)?.offset ?? 0,
    ...corners(clip(first.space, { normal: sloping.up, offset: sloping.offset }).below).map((p) => p[2]),
  );
  const slope: Slope = { up: sloping.up, offset: sloping.offset, space: spaceUpTo(first.space, head) };
  const block = yield* movedBlock(laid, room, { ...stretch, layers: level }, hand, slopeToLevel(slope));
  if (!block || last.settled || block.content.kind !== 'moved') return block;
  const { keys, spec } = block.content;
  return {
    ...block,
    layers: [first, ...stretch.layers.slice(1)],
    content: {
      kind: 'tilted',
      keys,
      key: `${spec.key} ${JSON.stringify([slope.up, slope.offset])}`,
      tilted: { level: spec, slope },
    },
    solid: clip(first.space, { normal: last.up, offset: last.offset }).below,
  };
}

function* movedBlock(
  { plan, geometry: { floor } }: Pick<Laid, 'plan' | 'geometry'>,
  room: Room,
  { layers, steps, holes }: Stretch,
  hand: number,
  toLevel: ToLevel | undefined,
): Task<never, Block | undefined> {
  const [first, ...others] = layers;
  const last = layers.at(-1);
  if (!first || !last) return undefined;
  const { up, offset } = last.settled ?? last;
  const sloping = (x: number, y: number): Millimetres => (offset - up[0] * x - up[1] * y) / up[2];
  const plane = { normal: last.up, offset: last.offset };
  const region = clip(first.space, plane).below;
  if (region.faces.length === 0) return undefined;
  // up to where the columns are pulled: later pours go over their filled holes
  const pierced = layers.findLast((l) => l.blocked.length > 0);
  const holed = pierced && { normal: pierced.up, offset: pierced.offset };
  const blocked = holed
    ? first.blocked.map((b) => clip(b, holed).below).filter((b) => b.faces.length > 0)
    : [];
  const columns = blocked.length > 0 ? room.columns : [];
  const box = planBox(room.solid);
  const numbers = numbering<string>();
  const pull = steps.findIndex((s) => s.kind === 'pull');
  const filled = (): readonly Move[] => (columns.length > 0 ? [fillOf(plan, holes, last, numbers)] : []);
  // strokes that go alike are handed on with one way
  const alike = rememberedBy<readonly (readonly Spot[])[]>();
  const waysOf = (path: Stroke['path'], free: number): readonly (readonly Spot[])[] =>
    alike(steps, JSON.stringify([path, free]), () => {
      const paths = pathsOf(path, box, free);
      return toLevel ? levelledPaths(paths, toLevel, sloping) : paths;
    });
  const movesOf = (step: Step, i: number): readonly Move[] => {
    switch (step.kind) {
      case 'pour': {
        const nth = layers.findIndex((l) => l.pour.id === step.id);
        const layer = layers[nth];
        const over = layer && layer.blocked.length > 0 ? room.columns : [];
        return layer ? risesOf(layer, layers.slice(0, nth), box, over, numbers) : [];
      }
      case 'stroke': {
        return [
          {
            does: 'stroke',
            paths: waysOf(step.path, freeOf(step.path, columns, pull >= 0 && pull < i)),
            widthMm: STICK_WIDTH[step.end],
            depthMm: step.depthMm,
          },
        ];
      }
      case 'wire':
        return [
          toLevel ? levelledWire(wireMove(step, box, floor), toLevel, box) : wireMove(step, box, floor),
        ];
      case 'mica': {
        const carried = steps.slice(i + 1).some((s) => s.kind === 'pour' || s.kind === 'wire');
        return carried ? [{ does: 'line', deposit: numbers.numberOf(step.id), mm: LINE_MM }] : [];
      }
      case 'pull':
        return filled();
      default:
        return [];
    }
  };
  const moves: Move[] = [];
  for (const [i, step] of steps.entries()) {
    moves.push(...movesOf(step, i));
    yield { done: i / steps.length };
  }
  // a column that is not pulled here is filled by what is held back all the same: the loaf is cut without it
  const all = pull < 0 ? [...moves, ...filled()] : moves;
  yield { done: 1 };
  const outlines = columns.map(columnOutline);
  const body = { region, blocked, columns: outlines, up: last.up, moves: all, hand };
  return {
    content: { kind: 'moved', spec: { key: keyOfBlock(body), ...body }, keys: numbers.keys },
    solid: region,
    layers: [first, ...others],
    room,
  };
}

/**
 * A layer as it stands when all steps of a plan are done: before its scraping, all of it is there; before the
 * mould is set level, it slopes.
 */
export function standing<L extends PouredLayer>({ steps }: Pick<Plan, 'steps'>, layer: L): L {
  const { scraping, settled } = layer;
  if (settled && !steps.some((s) => s.id === settled.by)) {
    const { settled: _settled, ...sloping } = beforeSettling(layer);
    return sloping as L;
  }
  if (!scraping || steps.some((s) => s.id === scraping.scrape.id)) return layer;
  return asPouredLayer({ ...layer, scraping }) as L;
}

const kept = rememberedBy<readonly Body[]>();

/** A mould's batter as it is seen when it is cut, in the order it was poured. */
export const bodiesOf = (laid: Laid): readonly Body[] =>
  kept(laid.stack, laid.hand ?? 0, () => bodiesIn(laid));

/** The same in turns, for what is looked at once it is there. */
export function* makingBodies(laid: Laid): Task<never, readonly Body[]> {
  const bodies = yield* bodiesEach(laid);
  return kept(laid.stack, laid.hand ?? 0, () => bodies);
}

const bodiesIn = (laid: Laid): readonly Body[] => finish(bodiesEach(laid));

function* bodiesEach({ plan, stack, geometry, hand = 0 }: Laid): Task<never, readonly Body[]> {
  const all: Body[] = [];
  for (const room of geometry.rooms) {
    const layers = stack.layers.filter((l) => l.room === room).map((l) => standing(plan, l));
    const stretches = stretchesOf(plan.steps, layers);
    const blockIn = function* (stretch: Stretch): Task<never, Block | undefined> {
      if (!isMoved(stretch) && !isPierced(plan, stretch)) return undefined;
      return yield* blockOf({ plan, geometry }, room, stretch, hand);
    };
    const bodies: Body[] = [];
    for (const stretch of stretches) {
      yield { done: (all.length + bodies.length) / Math.max(1, stack.layers.length) };
      const block = yield* blockIn(stretch);
      if (block) bodies.push({ kind: 'block', block });
      else for (const layer of stretch.layers) bodies.push({ kind: 'layer', layer });
    }
    const alone = stretches.filter(isAlone);
    const seen = yield* sculpted(room, withLines(plan, bodies), linesOn(plan), (layer) => {
      const isIt = (l: PouredLayer | undefined): boolean => l?.pour.id === layer.pour.id;
      const still = alone.find((s) => !isMoved(s) && s.layers.some(isIt));
      if (still) return { layer, block: undefined };
      // what is pressed into a top goes into whatever is fluid there
      const pressed = layer.rough?.dents !== undefined && layer.rough.lumps === undefined;
      const stretch = (pressed ? stretches : alone).find((s) => isIt(s.layers.at(-1)));
      if (!stretch) return undefined;
      return {
        layer,
        block: finish(blockIn({ ...stretch, layers: [...stretch.layers.slice(0, -1), layer] })),
      };
    });
    const asBody = (block: Block | undefined): readonly Body[] => (block ? [{ kind: 'block', block }] : []);
    all.push(
      ...asBody(ridgesIn({ plan, stack, geometry }, room, layers)),
      ...seen,
      ...asBody(heapIn({ plan, stack, geometry }, room, layers)),
    );
  }
  return all.sort((a, b) => nthOf(a) - nthOf(b));
}

/** A plan in which anything is pushed about. */
export const hasPatterns = ({ steps }: Pick<Plan, 'steps'>): boolean => steps.some(pushes);

/**
 * A plan of which something is seen that has to be simulated: what is pushed about, or scraped, or lies on
 * top, or was poured on a mat.
 */
export const isSimulated = ({ steps, mould }: Pick<Plan, 'steps' | 'mould'>): boolean =>
  mould.mat !== undefined ||
  steps.some(
    (s) =>
      pushes(s) || s.kind === 'scrape' || s.kind === 'top' || (s.kind === 'pour' && s.roughMm !== undefined),
  );
