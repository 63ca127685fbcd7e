import { writeFileSync } from 'node:fs';
import { parseArgs } from 'node:util';
import { encode } from 'fast-png';
import type { Computed } from '../core/computed/compute.ts';
import { singleBars } from '../core/cut/singleBars.ts';
import { SIDES, sideOfBar, sidesOf, type Side } from '../core/face/barFaces.ts';
import type { FramedFace } from '../core/face/framed.ts';
import { planAt, sectionAt, topFace } from '../core/face/loafFaces.ts';
import { painted } from '../core/face/painted.ts';
import { rasterise } from '../core/face/raster.ts';
import { AGES, plannedState, type Age } from '../core/look/state.ts';
import { coloursOf, depositColours } from '../core/ombre/coloursOf.ts';
import { noneReady, readyFrom } from '../core/face/ready.ts';
import { readComputed } from './readComputed.ts';

const USAGE =
  'usage: npm run -s face -- FILE.dripline.json (--bar N [--side near|far|top] | --section MM | --plan MM | --top) [--size 600x450] [--state pour|cut|cured] --out FILE.png';

/** Larger pictures than this, px a side, are no use and take long. */
const MOST_PX = 8000;

/** What is wrong with what was asked for. */
class Asked extends Error {}

const optionsOf = (args: readonly string[]) =>
  parseArgs({
    args: [...args],
    allowPositionals: true,
    options: {
      bar: { type: 'string' },
      side: { type: 'string' },
      section: { type: 'string' },
      plan: { type: 'string' },
      top: { type: 'boolean' },
      size: { type: 'string', default: '600x450' },
      state: { type: 'string', default: 'cured' },
      out: { type: 'string' },
    },
  });

type Options = ReturnType<typeof optionsOf>['values'];

function oneOf<T extends string>(list: readonly T[], value: string, what: string): T {
  const found = list.find((x) => x === value);
  if (found === undefined) throw new Asked(`${what}: "${value}" is none of ${list.join(', ')}`);
  return found;
}

function within(text: string, most: number, what: string): number {
  const mm = Number(text);
  if (text.trim() === '' || !(mm >= 0 && mm <= most))
    throw new Asked(`${what}: ${text} is outside 0 to ${Number(most.toFixed(1))} mm`);
  return mm;
}

function barFace(computed: Computed, asked: string, side: Side): FramedFace {
  const bars = singleBars(computed);
  const bar = /^\d+$/.test(asked) ? bars[Number(asked) - 1] : undefined;
  if (!bar) throw new Asked(`--bar: ${asked} is none of the ${bars.length} bars of this mould`);
  if (!sidesOf(bar).includes(side))
    throw new Asked(
      '--side: a disc or a slice parallel to the floor has a lower face (near) and an upper one (far), no top',
    );
  return sideOfBar(computed, bar, side);
}

function faceAsked(computed: Computed, { bar, side, section, plan, top }: Options): FramedFace {
  const asked = [bar, section, plan, top].filter((x) => x !== undefined);
  if (asked.length !== 1) throw new Asked('one of --bar, --section, --plan and --top is wanted');
  if (side !== undefined && bar === undefined) throw new Asked('--side goes with --bar');
  const { geometry } = computed;
  if (bar !== undefined) return barFace(computed, bar, oneOf(SIDES, side ?? 'near', '--side'));
  if (section !== undefined) return sectionAt(computed, within(section, geometry.most.length, '--section'));
  if (plan !== undefined) return planAt(computed, within(plan, geometry.heightMm, '--plan'));
  return topFace(computed);
}

function sizeAsked(size: string): readonly [number, number] {
  const [, w, h] = /^(\d+)x(\d+)$/.exec(size) ?? [];
  const [width, height] = [Number(w), Number(h)];
  if (!(width >= 1 && width <= MOST_PX && height >= 1 && height <= MOST_PX))
    throw new Asked(`--size: "${size}" is no WIDTHxHEIGHT from 1 to ${MOST_PX} pixels`);
  return [width, height];
}

/** The picture asked for, as a PNG. */
function pictureOf(computed: Computed, options: Options): Uint8Array {
  const [width, height] = sizeAsked(options.size);
  const age: Age = oneOf(AGES, options.state, '--state');
  const face = faceAsked(computed, options);
  const { plan, graded } = computed;
  const colours = depositColours(coloursOf(plan, plannedState(plan, age), graded));
  const data = painted(rasterise(face, width, height, readyFrom(noneReady())), colours);
  return encode({ width, height, data, channels: 4, depth: 8 });
}

/**
 * The picture that the screen shows of a cut or of the top, written as a PNG file; or what is wrong, said
 * line by line, and 2.
 */
export function faceCommand(args: readonly string[], say: (line: string) => void): number {
  try {
    const { values, positionals } = optionsOf(args);
    const [path, ...more] = positionals;
    if (path === undefined || more.length > 0 || values.out === undefined) throw new Asked(USAGE);
    const computed = readComputed(path, say);
    if (!computed) return 2;
    writeFileSync(values.out, pictureOf(computed, values));
    return 0;
  } catch (error) {
    if (!(error instanceof Error)) throw error;
    say(error.message);
    return 2;
  }
}
