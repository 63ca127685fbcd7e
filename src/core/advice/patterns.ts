import { withAColumn } from '../edit/columns.ts';
import { addPull, setPlace } from '../edit/pattern.ts';
import { moveStep } from '../edit/pours.ts';
import type { PouredLayer } from '../fill/layers.ts';
import type { ScaledLayer } from '../weigh/scaled.ts';
import { isIn, edgesOf } from '../flow/outline.ts';
import { slice } from '../geometry/clip.ts';
import { formatLength, formatMass, formatShort } from '../units/format.ts';
import { roundsOf } from '../weigh/rounds.ts';
import { setAt } from '../pattern/depthAt.ts';
import { columnsIn } from '../mould/column.ts';
import { pouredOver } from '../pattern/moves.ts';
import { placeWindow } from '../pattern/windows.ts';
import { sinkOf, stageToSink } from '../setting/spike.ts';
import { stageFigure } from '../setting/stage.ts';
import type { Place } from '../plan/patternSchema.ts';
import { isOneJug } from '../plan/sources.ts';
import type { Pot } from '../plan/planSchema.ts';
import type { Pour } from '../plan/stepSchema.ts';
import type { Stage } from '../units/quantity.ts';
import type { Facts } from './facts.ts';
import { matWarnings } from './mat.ts';
import { micaLineWarnings } from './micaLines.ts';
import { roughWarnings } from './rough.ts';
import { scrapeWarnings } from './scrapes.ts';
import { strokeWarnings } from './strokes.ts';
import type { Remedy, Warning } from './warning.ts';
import { topWarnings } from './tops.ts';
import { wireWarnings } from './wires.ts';

/** A place of the plan lies in some compartment's surface, as it is filled. */
function isInside({ geometry, fill }: Facts, x: number, y: number): boolean {
  return geometry.rooms.some(({ solid }) => {
    const outline = slice(solid, { normal: [0, 0, 1], offset: Math.max(0.01, fill.heightMm - 0.01) });
    return outline.length > 2 && isIn(edgesOf(outline.map((p) => [p[0], p[1]] as const)), x, y);
  });
}

/** A line beyond a wall is poured down that wall. */
function lineOutside(
  { plan, geometry }: Facts,
  pour: Pour,
  place: Extract<Place, { at: 'line' }>,
): Warning[] {
  const half = (place.runs === 'lengthwise' ? geometry.most.width : geometry.most.length) / 2;
  if (Math.abs(place.offMm) <= half) return [];
  const { length } = plan.units;
  return [
    {
      station: 'design',
      step: pour.id,
      code: 'line-outside',
      level: 'refuse',
      message: `The line is ${formatLength(Math.abs(place.offMm), length)} off the middle, and the wall is ${formatLength(half, length)} from it.`,
      remedies: [{ label: 'Along the middle', apply: (p) => setPlace(p, pour.id, { ...place, offMm: 0 }) }],
    },
  ];
}

function placeWarnings(facts: Facts, layer: PouredLayer): Warning[] {
  const { plan } = facts;
  const { pour } = layer;
  const { length } = plan.units;
  const place = pour.pattern?.place;
  if (!place) return [];
  const about = { station: 'design', step: pour.id } as const;
  const standing = columnsIn(plan.mould);
  if (place.at === 'column' && layer.blocked.length === 0)
    return [
      {
        ...about,
        code: 'no-column',
        level: 'warn',
        message: `${
          layer.room.columns.length > 0
            ? 'The column is pulled by then'
            : standing.length > 0
              ? 'No column stands in this compartment'
              : 'No column stands in the mould'
        }: this pour goes in as a stream in its middle.`,
        remedies: standing.length > 0 ? [] : [{ label: 'Stand a column in it', apply: withAColumn }],
      },
    ];
  if (place.at === 'column') {
    const onDivider = pouredOver(layer.room.columns, place).filter(
      (c) => facts.geometry.rooms.filter((r) => r.columns.includes(c)).length > 1,
    );
    if (onDivider.length > 0)
      return [
        {
          ...about,
          code: 'column-on-divider',
          level: 'refuse',
          message:
            'The column stands on the divider: what is poured over it would go into both compartments.',
        },
      ];
  }
  if (place.at === 'line') return lineOutside(facts, pour, place);
  if (place.at !== 'drops') return [];
  return place.spots.flatMap((s, i): Warning[] =>
    isInside(facts, s.xMm, s.yMm)
      ? []
      : [
          {
            ...about,
            code: 'drop-outside',
            level: 'refuse',
            message: `Place ${i + 1}, ${formatLength(s.xMm, length)} right of the middle and ${formatLength(s.yMm, length)} beyond it, is outside the mould.`,
            remedies: [
              {
                label: 'Put it into the middle',
                apply: (p) =>
                  setPlace(p, pour.id, { ...place, spots: place.spots.with(i, { xMm: 0, yMm: 0 }) }),
              },
            ],
          },
        ],
  );
}

/** A turn that the scale does not show can only be poured by eye. */
function smallTurns({ plan }: Facts, layer: ScaledLayer): Warning[] {
  const { pour } = layer;
  const step = plan.units.scaleStepG;
  const massOf = new Map(layer.parts.map((p) => [p.pot.id, p.pouredG] as const));
  const parts = pour.pattern?.rounds ?? [];
  const all = parts.reduce((s, p) => s + p, 0);
  const turns = roundsOf(pour, (pot) => massOf.get(pot) ?? 0, step);
  const least = parts.reduce((at, p, i) => (p < (parts[at] ?? p) ? i : at), 0);
  const smallest = Math.min(
    ...layer.parts.map(({ pot, pouredG: massG }) => {
      const times = turns[least]?.filter((t) => t.pot === pot.id).length ?? 1;
      return (massG * (parts[least] ?? 0)) / all / Math.max(1, times);
    }),
  );
  if (smallest >= step) return [];
  return [
    {
      code: 'round-too-small',
      level: 'warn',
      station: 'design',
      step: pour.id,
      message: `In round ${least + 1} a pot's turn is ${formatMass(smallest, plan.units.mass, 0.01)}: less than the ${formatMass(step, plan.units.mass, step)} that the scale shows. Fewer rounds, or a finer scale.`,
    },
  ];
}

/** Some pots at another thickness. */
function atStage(pots: readonly Pick<Pot, 'id'>[], stage: Stage): Remedy {
  const ids = new Set(pots.map((p) => p.id));
  return {
    label: `Pour at ${stage} of 5`,
    apply: (plan) => ({
      ...plan,
      pots: plan.pots.map((pot) => (ids.has(pot.id) ? { ...pot, stage } : pot)),
    }),
  };
}

/** More turns of a spoon than this, and nothing is told apart. Common practice, no source. */
const MOST_TURNS = 4;

function overmixed({ pour }: PouredLayer): Warning[] {
  const place = pour.pattern?.place;
  if (place?.at !== 'in-the-pot' || place.spoonTurns <= MOST_TURNS) return [];
  return [
    {
      code: 'overmixed',
      level: 'warn',
      station: 'design',
      step: pour.id,
      message: `${formatShort(place.spoonTurns, 1)} turns of the spoon: above about ${MOST_TURNS} the colours are one. The streaks that are drawn will not be told apart.`,
      remedies: [{ label: 'Two turns', apply: (p) => setPlace(p, pour.id, { ...place, spoonTurns: 2 }) }],
    },
  ];
}

/** Lines that sink deeper than what is fluid below them go to its floor, and colours wash together. */
function washes(facts: Facts, layer: PouredLayer): Warning[] {
  const { pour } = layer;
  if (pour.pattern?.place.at !== 'close-lines') return [];
  const { plan } = facts;
  const fluid = layer.offset - layer.riseMm - setAt(facts, pour);
  const sinks = layer.pots.map((pot) => ({
    pot,
    sinkMm: sinkOf(pot.stage, pour.landing.fallMm, layer.densityGMl),
  }));
  const deep = sinks.filter((s) => s.sinkMm > fluid);
  const [worst] = deep.toSorted((a, b) => b.sinkMm - a.sinkMm);
  if (!worst || fluid <= 0) return [];
  const say = (mm: number): string => formatLength(mm, plan.units.length);
  const stage = Math.ceil(10 * stageToSink(fluid * 0.8, pour.landing.fallMm, layer.densityGMl)) / 10;
  return [
    {
      code: 'lines-wash',
      level: 'warn',
      station: 'design',
      step: pour.id,
      message: `Lines of pot ${worst.pot.letter} sink ${say(Math.round(worst.sinkMm))} (estimated), and what is fluid below them is ${say(fluid)} deep: they go to its floor, and the colours wash together.`,
      remedies:
        stage <= placeWindow('close-lines', pour.landing.fallMm).most
          ? [
              atStage(
                deep.map((d) => d.pot),
                stage,
              ),
            ]
          : [],
    },
  ];
}

function tooThick({ pour, pots }: PouredLayer): Warning[] {
  if (!pour.pattern) return [];
  const window = placeWindow(pour.pattern.place.at, pour.landing.fallMm);
  const thick = pots.filter((p) => p.stage > window.most + 1e-9);
  if (thick.length === 0) return [];
  const most = Math.max(...thick.map((p) => p.stage));
  return [
    {
      code: 'too-thick-to-spread',
      level: 'warn',
      station: 'design',
      step: pour.id,
      message: `${thick.length === 1 ? 'Pot' : 'Pots'} ${thick.map((p) => p.letter).join(', ')} ${thick.length === 1 ? 'is' : 'are'} planned ${stageFigure(most)}; this way of pouring spreads up to ${formatShort(window.most, 1)} (estimated). What is drawn is what thinner batter does.`,
      remedies: [atStage(thick, window.most)],
    },
  ];
}

/** A column that something is poured over has to come out again. */
function unpulled({ plan, stack }: Facts): Warning[] {
  const several = columnsIn(plan.mould).length > 1;
  const over = stack.layers.some((l) => l.pour.pattern?.place.at === 'column' && l.room.columns.length > 0);
  if (!over || plan.steps.some((s) => s.kind === 'pull')) return [];
  return [
    {
      code: 'column-stays',
      level: 'warn',
      station: 'design',
      message: several
        ? 'The columns are not pulled: the loaf would set round them. The pictures show them filled.'
        : 'The column is not pulled: the loaf would set round it. The pictures show it filled.',
      remedies: [
        {
          label: several ? 'Pull them once the pours are in' : 'Pull it once the pours are in',
          apply: addPull,
        },
      ],
    },
  ];
}

/** What is poured once the columns are out would push what fills their holes about as well: that is not drawn. */
function afterPull({ plan, stack }: Facts): Warning[] {
  const pull = plan.steps.findIndex((s) => s.kind === 'pull');
  const pierced = stack.layers.some((l) => l.blocked.length > 0);
  if (pull < 0 || !pierced) return [];
  return plan.steps.slice(pull + 1).flatMap((s): Warning[] =>
    s.kind === 'pour' && s.pattern && !isOneJug(s.pattern.place)
      ? [
          {
            code: 'poured-after-pull',
            level: 'warn',
            station: 'design',
            step: s.id,
            message:
              'It is poured after the column is pulled: what it does to the filled hole is not known, and it is drawn as if what lies under it had set.',
            remedies: [
              {
                label: 'Pull the column after it',
                apply: (p) => moveStep(p, plan.steps[pull]?.id ?? '', s.id),
              },
            ],
          },
        ]
      : [],
  );
}

/** What there is to say of pours that push others aside, and of the stick. */
export function patternWarnings(facts: Facts): Warning[] {
  const layers = facts.stack.layers.filter((l) => l.pour.pattern !== undefined);
  return [
    ...layers.flatMap((l) => [
      ...placeWarnings(facts, l),
      ...smallTurns(facts, l),
      ...tooThick(l),
      ...washes(facts, l),
      ...overmixed(l),
    ]),
    ...unpulled(facts),
    ...afterPull(facts),
    ...facts.plan.steps.flatMap((s) => (s.kind === 'stroke' ? strokeWarnings(facts, s) : [])),
    ...facts.plan.steps.flatMap((s) => (s.kind === 'wire' ? wireWarnings(facts, s) : [])),
    ...scrapeWarnings(facts),
    ...roughWarnings(facts),
    ...micaLineWarnings(facts),
    ...topWarnings(facts),
    ...matWarnings(facts),
  ];
}
