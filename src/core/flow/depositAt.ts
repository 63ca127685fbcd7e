import { remembered } from '../task/remembered.ts';
import { dot, type Vec3 } from '../geometry/vec.ts';
import { backInBlurred } from './blurred.ts';
import { long, pairAt, wide } from './box.ts';
import { heightIn, levelBefore } from './heights.ts';
import { within } from './readers.ts';
import type { LevelPlace } from './levelPlace.ts';
import { rowsAlike, type RowBefore } from './rowsAlike.ts';
import type { Prepared, Section } from './stages.ts';
import { stepOf, valueOf, type Step } from './steps.ts';

/** Bring a place of the section back to where it was, in place of it; gives the level that it was in. */
function backInSection(section: Section, place: LevelPlace, level: number, pair: Float64Array): number {
  const { axis, from, to, warp } = section;
  const other = axis === 0 ? place.y : place.x;
  let height = heightIn(section, place, level);
  if (other >= from && other <= to) {
    pairAt(warp, axis === 0 ? place.x : place.y, height, pair);
    if (axis === 0) place.x = pair[0] as number;
    else place.y = pair[0] as number;
    height = pair[1] as number;
  }
  return levelBefore(section, place, height);
}

/** Reads a row of places: `add` + the number of the deposit at each is written to `out` from `to` on. */
export type RowReader = (
  /** of the first place, mould frame, mm */
  from: Vec3,
  /** from one place to the next */
  step: Vec3,
  count: number,
  out: Uint16Array,
  to: number,
  add: number,
) => void;

/**
 * What reads a block's faces, row by row: one for all of them. Places outside the block are read as at its
 * edge.
 */
export const rowReader = remembered(makeReader);

function makeReader(prepared: Prepared): RowReader {
  const { axes, lowest, spacing, levels, box } = prepared.levels;
  const steps = prepared.stages.map((s) => stepOf(prepared, s));
  const last = levels.length - 1;
  const [right, away, up] = axes;
  const place: LevelPlace = { x: 0, y: 0, through: 0 };
  const pair = new Float64Array(2);
  const { x0, y0 } = box;
  // from mm at a level to the reference rectangle: left, per mm across, near, per mm along
  const fit = new Float64Array(4 * levels.length);
  for (const [l, { box: own }] of levels.entries())
    fit.set([own.x0, wide(box) / wide(own), own.y0, long(box) / long(own)], 4 * l);
  const alike = rowsAlike(prepared, steps);
  /**
   * The deposit of a place that was brought back by the steps before `from`; -1: none. `value`: of the field
   * of step `told`, where that is known.
   */
  const depositFrom = (
    x: number,
    y: number,
    l: number,
    from: number,
    told: number,
    value: number,
  ): number => {
    let [px, py, level] = [x, y, l];
    for (let s = from; s < steps.length; s += 1) {
      const { drawn, section, blurred, field, other } = steps[s] as Step;
      if (drawn) {
        const by = drawn.part[level] as number;
        if (by <= 0) continue;
        pairAt(drawn.warp, px, py, pair);
        px += ((pair[0] as number) - px) * by;
        py += ((pair[1] as number) - py) * by;
      } else if (field) {
        const { deposits } = field;
        const k = within(
          field.values,
          level * deposits.length,
          deposits.length,
          s === told ? value : valueOf(field, px, py),
          field.guess,
        );
        if (k < deposits.length) {
          field.guess = k;
          return deposits[k] as number;
        }
        place.x = px;
        place.y = py;
        field.back(place, level);
        px = place.x;
        py = place.y;
      } else if (section) {
        place.x = px;
        place.y = py;
        level = backInSection(section, place, level, pair);
        px = place.x;
        py = place.y;
      } else if (blurred) {
        place.x = px;
        place.y = py;
        level = backInBlurred(blurred, place, level);
      } else if (other) {
        place.x = px;
        place.y = py;
        const deposit = other(place, level);
        if (deposit >= 0) return deposit;
        px = place.x;
        py = place.y;
      }
    }
    return -1;
  };
  /** A row whose places are known from the one before: mostly one look at each. */
  const readAlike = (
    row: RowBefore,
    level: number,
    through: number,
    count: number,
    out: Uint16Array,
    to: number,
    add: number,
  ): void => {
    const { x, y, steps: brought, fieldStep, value, inHole } = row;
    const field = steps[fieldStep]?.field;
    const pours = field ? field.deposits.length : 0;
    for (let n = 0; n < count; n += 1) {
      if (field && inHole[n] === 0) {
        const k = within(field.values, level * pours, pours, value[n] as number, field.guess);
        if (k < pours) {
          field.guess = k;
          out[to + n] = (field.deposits[k] as number) + add;
          continue;
        }
      }
      place.through = through;
      const deposit = depositFrom(
        x[n] as number,
        y[n] as number,
        level,
        brought,
        fieldStep,
        value[n] as number,
      );
      out[to + n] = deposit < 0 ? 0 : deposit + add;
    }
  };
  return (from, step, count, out, to, add) => {
    let [x, y, z] = [dot(right, from), dot(away, from), dot(up, from) - lowest];
    const [dx, dy, dz] = [dot(right, step), dot(away, step), dot(up, step)];
    if (dz === 0) {
      const high = z / spacing;
      const level = Math.min(last, Math.max(0, Math.floor(high)));
      const [left, perX, near, perY] = fit.subarray(4 * level, 4 * level + 4) as unknown as [
        number,
        number,
        number,
        number,
      ];
      const row = alike(level, count, x0 + (x - left) * perX, y0 + (y - near) * perY, dx * perX, dy * perY);
      if (row) {
        readAlike(row, level, Math.min(1, Math.max(0, high - level)), count, out, to, add);
        return;
      }
    }
    // this is where the time goes, for every pixel of every picture: places in plain numbers, nothing made,
    // nothing called that is not small
    for (let n = 0; n < count; n += 1) {
      const high = z / spacing;
      let level = Math.floor(high);
      if (level < 0) level = 0;
      else if (level > last) level = last;
      place.through = Math.min(1, Math.max(0, high - level));
      const at = 4 * level;
      const px = x0 + (x - (fit[at] as number)) * (fit[at + 1] as number);
      const py = y0 + (y - (fit[at + 2] as number)) * (fit[at + 3] as number);
      const deposit = depositFrom(px, py, level, 0, -1, 0);
      out[to + n] = deposit < 0 ? 0 : deposit + add;
      x += dx;
      y += dy;
      z += dz;
    }
  };
}
