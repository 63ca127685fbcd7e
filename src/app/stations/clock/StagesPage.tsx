import { bearingOf } from '../../../core/setting/plunge.ts';
import { stiffening } from '../../../core/setting/rest.ts';
import { STAGES, yieldStress } from '../../../core/setting/stage.ts';
import { formatShort } from '../../../core/units/format.ts';
import { upperFirst } from '../../../core/units/words.ts';
import { Group } from '../../parts/Station.tsx';
import { usePlan } from '../../parts/usePlan.ts';
import { REST_DOUBLES_MIN } from '../../../core/timing/estimates.ts';
import { StageDrawing } from './StageDrawing.tsx';

const GRAVITY = 9.81;

/** What to look for at each stage. Common practice, no source. */
const SIGNS: readonly {
  readonly signs: readonly string[];
  readonly lying: string;
  readonly good: string;
}[] = [
  {
    signs: [
      'An even cream; no streak of oil, also after half a minute.',
      'What drips from the spoon is gone at once, in rings.',
      'Poured, it runs to every corner by itself.',
    ],
    lying: 'a drop of the next batter is lost in it.',
    good: 'Column, corner and wall pours, the ridges of a mat.',
  },
  {
    signs: [
      'A trail stays for a moment and sinks back.',
      'A line poured from low vanishes, and a halo of its colour blooms back up.',
      'It moves like single cream.',
    ],
    lying: 'a drop of the next batter sinks in, and its rim is soft.',
    good: 'Lines and drops; sticks and wires; where most layers begin.',
  },
  {
    signs: [
      'A trail stays on the surface.',
      'A line poured from low can be seen lying there.',
      'Shaken, the whole surface wobbles; it does not carry a pour yet.',
    ],
    lying: 'a drop over a spatula stays on it with a clean rim; tilted, it creeps.',
    good: 'Pointed layers; the next layer over a spatula.',
  },
  {
    signs: [
      'It falls from the spoon in heaps that keep their shape, like thick pudding.',
      'Shaken, it hardly wobbles.',
      'Tapped, it no longer levels by itself.',
    ],
    lying: 'a drop from low down stays; tilted a little, nothing moves.',
    good: 'Dents and mounds; the next layer poured from low.',
  },
  {
    signs: [
      'A spoon stands in it.',
      'Pressed in, a dent stays with sharp edges.',
      'It has to be pressed into corners, or pockets of air stay.',
    ],
    lying: 'touched lightly it keeps the mark.',
    good: 'Scraping and piping; rough layers by the spoonful; the next in a stream.',
  },
  {
    signs: [
      'It does not stick to a gloved finger.',
      'Pressed, it gives and comes back; cut, the edges stand.',
      'It is caustic all the same.',
    ],
    lying: 'touched it gives and comes back.',
    good: 'Setting a steep slope level; later, the knife.',
  },
];

/** A slope that is told about, degrees. */
const SLOPE_DEG = 15;

/** Minutes of rest that are told about. */
const RESTS = [1, 2, 4, 8] as const;

/** A layer has two stages: as it flows once it is moved, and as it bears while it lies still. */
function AtRest() {
  return (
    <p className="text-sm">
      A layer has <strong>two stages</strong>. Stirred, drawn through or tilted anew it <em>flows</em> as it
      would in its jug. Left lying it stiffens at once, and <em>bears</em> more than it flows:{' '}
      {RESTS.map(
        (min) => `${formatShort(stiffening(min, REST_DOUBLES_MIN), 1)} of a stage after ${min} min`,
      ).join(', ')}{' '}
      (estimated; its strength doubles in some {REST_DOUBLES_MIN} min, then grows in a straight line). Moved,
      it begins anew; a tap moves only the layer just poured. In the jug, look right after a stir; in the
      mould, do not touch more than you must.
    </p>
  );
}

/** What is thick enough: the words for how thick batter is, what to look for, and what it carries. */
export function StagesPage() {
  const { show } = usePlan();
  return (
    <Group title="What is thick enough?">
      <p className="text-sm">
        The words of this product, thinnest first. What carries and what holds follow from the batter’s yield
        stress: estimates, to learn the words by.
      </p>
      <AtRest />
      <ol className="grid gap-4">
        {STAGES.map((word, stage) => {
          const { signs, lying, good } = SIGNS[stage] ?? { signs: [], lying: '', good: '' };
          // rho g h = 5.14 tau, and tau = rho g H sin a, at 1 g/ml
          const fallMm = bearingOf(stage) / GRAVITY;
          const slopeMm = yieldStress(stage) / (GRAVITY * Math.sin((SLOPE_DEG * Math.PI) / 180));
          return (
            <li key={word} className="rule flex flex-wrap items-start gap-4 border-b pb-4 sm:flex-nowrap">
              <StageDrawing stage={stage} words={`Batter at ${word}, cut through`} />
              <div className="grid gap-1.5">
                <h3 className="text-base">
                  {upperFirst(word)} <span className="quiet text-sm font-normal">{stage} of 5</span>
                </h3>
                <ul className="list-disc pl-5 text-sm">
                  {signs.map((s) => (
                    <li key={s}>{s}</li>
                  ))}
                </ul>
                <p className="text-sm">
                  <span className="quiet">Lying in the mould, it bears as {word}: </span>
                  {lying}
                </p>
                <p className="text-sm">
                  <span className="quiet">Good for: </span>
                  {good}
                </p>
                <p className="text-sm italic">
                  ≈ {formatShort(yieldStress(stage), yieldStress(stage) < 10 ? 1 : 0)} Pa: it carries what
                  falls {show.length(fallMm < 10 ? Math.round(fallMm * 10) / 10 : Math.round(fallMm))} in
                  effect, and a slope of {SLOPE_DEG}° holds up to{' '}
                  {show.length(slopeMm < 10 ? Math.round(slopeMm * 10) / 10 : Math.round(slopeMm))} of it.
                </p>
              </div>
            </li>
          );
        })}
      </ol>
      <p className="quiet text-sm">
        In effect: over a spatula or from a squeeze bottle 7 mm, spooned 3 mm, down a wall 10 mm, poured low
        20 mm, in a stream 50 mm (common practice).
      </p>
    </Group>
  );
}
