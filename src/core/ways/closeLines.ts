import * as v from 'valibot';
import type { Box } from '../flow/box.ts';
import type { StageWindow } from '../setting/window.ts';
import { plural } from '../units/words.ts';
import { lengthMm } from '../validate/fields.ts';
import { firstLine, straight } from './fromAbove.ts';
import { way } from './way.ts';
import { runsSchema } from '../mould/runs.ts';

const schema = v.strictObject({
  at: v.literal('close-lines'),
  runs: runsSchema,
  spacingMm: lengthMm(4, 200),
});

/**
 * Sharp spires want both above 1.3; thicker than 3.4 they lie on top as ropes. Common practice, no source.
 */
const WINDOW: StageWindow = { least: 1.3, most: 3.4 };

/** Lines so far apart, in the middle of what there is: poured back and forth. */
function linesIn(
  { x0, x1, y0, y1 }: Box,
  { runs, spacingMm }: v.InferOutput<typeof schema>,
): readonly number[] {
  const [low, high] = runs === 'lengthwise' ? [x0, x1] : [y0, y1];
  const count = Math.max(1, Math.floor((high - low) / spacingMm));
  return Array.from({ length: count }, (_, i) => (low + high) / 2 + (i - (count - 1) / 2) * spacingMm);
}

/**
 * Close lines back and forth, from end to end or from side to side, that sink into what lies below as points.
 */
export const CLOSE_LINES = way(schema, {
  know: {
    name: 'Pointed layers',
    says: 'close lines back and forth, which sink in as points',
    needs:
      'Medium, over a layer that is still fluid. A thin stream held low and drawn back and forth quickly, every line the same; a layer below as deep as the points.',
    fails:
      'Too thin: the lines go to the floor and the colours wash together. Too thick: they lie on top as ropes.',
  },
  first: { at: 'close-lines', runs: 'lengthwise', spacingMm: 14 },
  landing: { how: 'low', fallMm: 20 },
  rounds: 1,
  window: () => WINDOW,
  byHeight: true,
  asLines: true,
  sources: ({ runs, spacingMm }, { sinkMm }) => [
    { kind: 'lines', axis: runs === 'lengthwise' ? 0 : 1, spacingMm, sinkMm },
  ],
  fromAbove: (place, floor) => {
    const paths = straight(floor, place.runs, linesIn(floor, place));
    return { floor, paths: paths.map((p, i) => (i % 2 === 1 ? p.toReversed() : p)), spots: [] };
  },
  text: ({ runs, spacingMm }, { above, length }) =>
    `in close lines ${runs === 'lengthwise' ? 'from end to end' : 'from side to side'}, back and forth, ${length(spacingMm)} apart${above ? `: ${plural(above.paths.length, 'line')}, ${firstLine(above, runs, length)}` : ''}`,
  /** Lines that sink deeper than what is fluid below them go to its floor, and colours wash together. */
  faults: (_place, { pots, sinkOf, stageToSink, fluidMm, length }) => {
    const deep = pots.filter((p) => sinkOf(p.stage) > fluidMm);
    const [worst] = deep.toSorted((a, b) => sinkOf(b.stage) - sinkOf(a.stage));
    if (!worst || fluidMm <= 0) return [];
    const stage = Math.ceil(10 * stageToSink(fluidMm * 0.8)) / 10;
    return [
      {
        code: 'lines-wash',
        level: 'warn',
        message: `Lines of pot ${worst.letter} sink ${length(Math.round(sinkOf(worst.stage)))} (estimated), and what is fluid below them is ${length(fluidMm)} deep: they go to its floor, and the colours wash together.`,
        remedies: stage <= WINDOW.most ? [{ stage, pots: deep.map((p) => p.id) }] : [],
      },
    ];
  },
});
