import { USUAL_FROM_CORNER_MM } from '../../mould/cornerProp.ts';
import { isCorner } from '../../mould/propped.ts';
import { UNDER_WORDS } from '../../mould/propWords.ts';
import { grouped } from '../../ledger/grouped.ts';
import type { Landing } from '../../setting/landing.ts';
import { blurPhrase } from '../../setting/blur.ts';
import { stageFigure } from '../../setting/stage.ts';
import { formatLength, formatShort } from '../../units/format.ts';
import { listed, upperFirst } from '../../units/words.ts';
import type { Deed } from '../deeds.ts';
import { roundsText } from './patterns.ts';
import { inMould, type Saying, type WordsFor } from './says.ts';
import { surfaceText } from './surface.ts';

const LANDING_WORDS: Readonly<Record<Landing['how'], string>> = {
  stream: 'in a stream',
  low: 'from low down',
  spatula: 'over a spatula held just above the surface',
  spoon: 'by the spoonful',
};

type Propping = Extract<Deed, { does: 'prop' }>;

/** What to put under which edge, in mm and inches: that is what lies on the bench. */
function propping({ props, angles }: Propping): string {
  const both = (mm: number): string => `${formatLength(mm, 'mm')} (${formatLength(mm, 'in')})`;
  const put = props.map(({ name, heightMm, under, fromCornerMm }) => {
    const what = name === undefined ? both(heightMm) : `${name}, ${both(heightMm)},`;
    return isCorner(under)
      ? `${what} across under ${UNDER_WORDS[under]}, ${formatLength(fromCornerMm ?? USUAL_FROM_CORNER_MM, 'mm')} from it each way`
      : `${what} under ${UNDER_WORDS[under]}`;
  });
  const turned = angles.map((d) => `${formatShort(Math.abs(d), 1)}°`);
  return `Prop the mould: ${put.join(' and ')}, ${turned.join(' and ')}. Wedge it so that it cannot slip.`;
}

type Pouring = Extract<Deed, { does: 'pour' }>;

/** How thick the clock has them. */
const forecast = ({ from, to }: NonNullable<Pouring['thick']['byClock']>): string =>
  ` By the clock it will be ${to - from < 0.1 ? stageFigure(from) : `from ${stageFigure(from)} to ${stageFigure(to)}`}.`;

/** How thick the pots should be, those that are alike together. */
function thickness({ meant, most, byClock }: Pouring['thick']): string {
  const alike = [...grouped(meant, (m) => m.stage)];
  const each = alike.map(([stage, pots]) =>
    alike.length === 1 ? stageFigure(stage) : `${listed(pots.map((p) => p.letter))} ${stageFigure(stage)}`,
  );
  const up = most === undefined ? '' : `; it pours up to ${formatShort(most, 1)}`;
  return ` The batter should be ${each.join(', ')}${up}.${byClock ? forecast(byClock) : ''}`;
}

function pouring(
  { pour, compartment, landing, onFluidMm, surfaces, roughMm, pattern, jug, thick }: Pouring,
  say: Saying,
): string {
  const rough =
    roughMm === undefined ? '' : ` on the mean, left rough: ${say.length(roughMm)} from hollow to peak`;
  const room = compartment === undefined ? '' : `, compartment ${compartment}`;
  const up = surfaces.map((s) => {
    const text = surfaceText(s, say.length);
    return s.mould === undefined ? text : `${s.mould} ${text}`;
  });
  const reads = jug
    ? ` ${jug.name} then reads ${say.mass(jug.readsG)}: ${say.mass(jug.leftG)} left in it.`
    : '';
  const fluid =
    onFluidMm === undefined
      ? ''
      : ` At once, while what is below is fluid: their border is ${blurPhrase(onFluidMm, say.length)}.`;
  const after = `${up.join('; ')}${rough}.${fluid}${thickness(thick)}${reads}`;
  if (pattern) return `${upperFirst(pour)}${room}: ${roundsText(pattern, say)}, ${after}`;
  return `${upperFirst(pour)}: ${say.pot}${room}, ${LANDING_WORDS[landing]}, ${after}`;
}

export const pouringWords: WordsFor<
  'wait' | 'set-level' | 'prop' | 'pour' | 'blend-jug' | 'loosen-jug' | 'top'
> = {
  wait: ({ until, mould }) => ({
    text: inMould(
      mould,
      until.kind === 'minutes'
        ? `Wait ${formatShort(until.minutes, 1)} min.`
        : `Wait until the last layer, left lying, bears as ${stageFigure(until.stage)}.`,
    ),
  }),
  'set-level': ({ fluid, mould }) => ({
    text: inMould(
      mould,
      fluid
        ? 'Take the prop away and set the mould level at once, slowly, while all of it is fluid: it runs level.'
        : 'Take the prop away and set the mould level.',
    ),
  }),
  prop: (deed) => ({ text: inMould(deed.mould, propping(deed)) }),
  pour: (deed, say) => ({
    text: pouring(deed, say),
  }),
  'blend-jug': ({ to }, { pot }) => ({
    text: `Blend ${pot} on until it is ${stageFigure(to)}: the stick in bursts of a second, and look.`,
  }),
  'loosen-jug': (_deed, { pot }) => ({
    text: `Stir ${pot} loose right before it is poured: it stays so for a minute or two.`,
  }),
  top: ({ columns }) => ({
    text:
      columns > 1
        ? `Pull the ${columns} columns straight up, fill the holes with the batter held back, then spoon the rest over the top.`
        : columns === 1
          ? 'Pull the column straight up, fill the hole with the batter held back, then spoon the rest over the top.'
          : 'Spoon the batter held back over the top; swirl no deeper than 6 mm (1/4 in).',
  }),
};
