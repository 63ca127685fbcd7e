import { readFileSync, writeFileSync } from 'node:fs';
import { expect } from 'chai';
import { decode, encode } from 'fast-png';
import { BEGINNINGS, beginPlan, type BeginningId } from '../../src/core/edit/beginnings.ts';
import { painted } from '../../src/core/face/painted.ts';
import { planAt, sectionAt } from '../../src/core/face/loafFaces.ts';
import { noneReady, readyFrom } from '../../src/core/face/ready.ts';
import { rasterise } from '../../src/core/face/raster.ts';
import { layPlan } from '../../src/core/fill/layPlan.ts';
import { POT_COLOURS } from '../../src/core/edit/pots.ts';
import { mouldGeometry } from '../../src/core/mould/geometry.ts';
import { STARTER_MOULDS } from '../../src/core/mould/starterMoulds.ts';
import type { Plan } from '../../src/core/plan/planSchema.ts';
import { starter } from '../support/colours.ts';

/*
 * Pictures that were looked at and found right, one of each way of pouring: a change of the simulation shows
 * as another picture. `GOLDEN=write npx mocha test/unit/golden.test.ts` writes them anew; look at them before
 * they are kept.
 */
const WIDE = 180;
const HIGH = 120;

/** Of all pixels, so many may differ: a line of them along an edge. */
const TOLERANCE = 0.015;

/** Those that are told best from above. */
const FROM_ABOVE: readonly BeginningId[] = ['column', 'corner', 'drops', 'split-jug'];

const LOOKED_AT: readonly BeginningId[] = [
  ...FROM_ABOVE,
  'centre-line',
  'wall',
  'two-sided',
  'pointed',
  'in-the-pot',
  'wire',
  'sculpted',
  'piped',
  'upside-down',
];

const planOf = (id: BeginningId): Plan => {
  const plan = beginPlan(id, {
    planId: id,
    now: '2026-01-02T03:04:05.000Z',
    units: undefined,
    mould: STARTER_MOULDS[0]!,
    layers: 5,
    colours: POT_COLOURS.slice(0, 4),
    colorant: starter('heather'),
  });
  if (!plan) throw new Error(`${id} does not begin in ${STARTER_MOULDS[0]!.name}`);
  return plan;
};

function pictureOf(id: BeginningId): Uint8ClampedArray {
  const plan = planOf(id);
  const [laid] = layPlan(plan).moulds;
  const { most } = mouldGeometry(plan.mould);
  const face = FROM_ABOVE.includes(id)
    ? planAt(laid, laid.fill.heightMm * 0.7)
    : sectionAt(laid, most.length * 0.45);
  const raster = rasterise(face, WIDE, HIGH, readyFrom(noneReady()), 1);
  // each deposit in a colour of its own, whatever its pot's is
  const colours = new Map(
    [...new Set(raster.pours)].map((key, i) => {
      const hue = (i * 67 + 20) % 200;
      return [
        key,
        `#${[hue, 255 - hue, (hue * 3) % 256].map((n) => n.toString(16).padStart(2, '0')).join('')}`,
      ];
    }),
  );
  return painted(raster, colours);
}

describe('golden pictures', () => {
  for (const id of LOOKED_AT)
    it(`${BEGINNINGS.find((b) => b.id === id)!.name} is seen as it was when it was looked at`, () => {
      const file = `test/golden/${id}.png`;
      const data = pictureOf(id);
      if (process.env['GOLDEN'] === 'write')
        writeFileSync(file, encode({ width: WIDE, height: HIGH, data, channels: 4, depth: 8 }));
      const golden = decode(readFileSync(file));
      expect([golden.width, golden.height]).to.deep.equal([WIDE, HIGH]);
      let apart = 0;
      for (let i = 0; i < data.length; i += 4)
        if ([0, 1, 2, 3].some((k) => data[i + k] !== golden.data[i + k])) apart += 1;
      expect(apart / (WIDE * HIGH)).to.be.below(TOLERANCE);
    });
});
