import type { StickPath } from '../plan/patternSchema.ts';
import type { Plan } from '../plan/planSchema.ts';
import { roundOf } from '../plan/sources.ts';
import type { Pour, Stroke, Wire } from '../plan/stepSchema.ts';
import { stagePhrase } from '../setting/stage.ts';
import { countRounds, setPlace, setPourStage, setRoundOrder, updateStroke } from './pattern.ts';
import { as, mm, type Setting, type Variant } from './variant.ts';
import { ofRough, ofScrape } from './varyLayers.ts';
import { updateWire } from './wire.ts';
import { setLanding } from './pours.ts';

/** Less and more of a whole number, never the same as it is. */
const around = (now: number, by: number, least: number, most: number): readonly [number, number] => [
  Math.max(least, Math.min(now - 1, Math.round(now / by))),
  Math.min(most, Math.max(now + 1, Math.round(now * by))),
];

/** Heights of falls are told apart by thirds. */
const FALL_BY = 3;

function ofPour(pour: Pour, plan: Plan, nth: string): readonly Setting[] {
  const rounds = pour.pattern?.rounds.length ?? 1;
  const { landing } = pour;
  const order = roundOf(pour);
  const pots = plan.pots.filter((p) => order.includes(p.id));
  const stage = pots.reduce((s, p) => s + p.stage, 0) / Math.max(1, pots.length);
  const roundsTo = (count: number): Variant => ({
    label: `${count} rounds`,
    apply: (p) => countRounds(p, pour.id, count),
  });
  const fallTo = (fallMm: number): Variant => ({
    label: mm(fallMm),
    apply: (p) => setLanding(p, pour.id, { ...landing, fallMm }),
  });
  const stageTo = (to: number): Variant => ({
    label: stagePhrase(to),
    apply: (p) => setPourStage(p, pour, Math.round(to * 10) / 10),
  });
  const ordered = (label: string, list: readonly string[]): Variant => ({
    label,
    apply: (p) => setRoundOrder(p, pour.id, list),
  });
  const [fewer, more] = around(rounds, 1.6, 1, 60);
  return [
    {
      id: `${pour.id} rounds`,
      name: `Rounds${nth}`,
      variants: [roundsTo(fewer), as(`${rounds} rounds`), roundsTo(more)],
    },
    {
      id: `${pour.id} fall`,
      name: `Poured from${nth}`,
      variants: [
        fallTo(Math.max(1, landing.fallMm / FALL_BY)),
        as(mm(landing.fallMm)),
        fallTo(Math.min(500, landing.fallMm * FALL_BY)),
      ],
    },
    {
      id: `${pour.id} stage`,
      name: `Thickness${nth}`,
      variants: [
        stageTo(Math.max(0, stage - 0.6)),
        as(stagePhrase(stage)),
        stageTo(Math.min(5, stage + 0.6)),
      ],
    },
    ...(order.length > 2
      ? [
          {
            id: `${pour.id} order`,
            name: `Order${nth}`,
            variants: [
              ordered('every second first', [
                ...order.filter((_, i) => i % 2 === 0),
                ...order.filter((_, i) => i % 2 === 1),
              ]),
              as('as it is'),
              ordered('the other way round', order.toReversed()),
            ],
          } as const,
        ]
      : []),
  ];
}

function ofPath(
  path: StickPath,
  to: (path: StickPath) => (plan: Plan) => Plan,
): Setting['variants'] | undefined {
  switch (path.kind) {
    case 'fan': {
      const [fewer, more] = around(path.strokes, 1.8, 2, 96);
      const strokes = (n: number): Variant => ({ label: `${n} strokes`, apply: to({ ...path, strokes: n }) });
      return [strokes(fewer), as(`${path.strokes} strokes`), strokes(more)];
    }
    case 'spiral': {
      const pitch = (v: number): Variant => ({ label: mm(v), apply: to({ ...path, pitchMm: v }) });
      return [
        pitch(Math.max(4, path.pitchMm / 1.6)),
        as(mm(path.pitchMm)),
        pitch(Math.min(200, path.pitchMm * 1.6)),
      ];
    }
    case 'rings': {
      const apart = (v: number): Variant => ({ label: mm(v), apply: to({ ...path, spacingMm: v }) });
      return [
        apart(Math.max(4, path.spacingMm / 1.6)),
        as(mm(path.spacingMm)),
        apart(Math.min(200, path.spacingMm * 1.6)),
      ];
    }
    case 'lines': {
      const apart = (v: number): Variant => ({ label: mm(v), apply: to({ ...path, spacingMm: v }) });
      return [
        apart(Math.max(4, path.spacingMm / 1.6)),
        as(mm(path.spacingMm)),
        apart(Math.min(300, path.spacingMm * 1.6)),
      ];
    }
    case 'free':
      return undefined;
  }
}

const PATH_WORDS: Readonly<Record<StickPath['kind'], string>> = {
  fan: 'The fan',
  spiral: 'The spiral’s turns',
  rings: 'The rings',
  lines: 'The lines',
  free: 'The path',
};

function ofStroke(stroke: Stroke): readonly Setting[] {
  const variants = ofPath(stroke.path, (path) => (plan) => updateStroke(plan, stroke.id, { path }));
  const deep = (depthMm: number): Variant => ({
    label: mm(depthMm),
    apply: (p) => updateStroke(p, stroke.id, { depthMm }),
  });
  const depth: Setting = {
    id: `${stroke.id} depth`,
    name: `${PATH_WORDS[stroke.path.kind]}: how deep`,
    variants: [deep(stroke.depthMm / 3), as(mm(stroke.depthMm)), deep((stroke.depthMm * 2) / 3)],
  };
  return variants
    ? [{ id: `${stroke.id} path`, name: PATH_WORDS[stroke.path.kind], variants }, depth]
    : [depth];
}

/** Thinner and thicker, and lifted less high. */
function ofWire(wire: Wire): readonly Setting[] {
  const thick = (girthMm: number): Variant => ({
    label: mm(girthMm),
    apply: (p) => updateWire(p, wire.id, { girthMm }),
  });
  // as a part of its height above the lowest point
  const floor = Math.min(...wire.points.map((p) => p.heightMm));
  const last = wire.points.length - 1;
  const lifted = (label: string, by: number): Variant => ({
    label,
    apply: (p) =>
      updateWire(p, wire.id, {
        points: wire.points.map((at, i) =>
          i === 0 || i === last ? at : { ...at, heightMm: floor + (at.heightMm - floor) * by },
        ),
      }),
  });
  return [
    {
      id: `${wire.id} girth`,
      name: 'The wire: how thick',
      variants: [
        thick(Math.max(1, wire.girthMm / 2)),
        as(mm(wire.girthMm)),
        thick(Math.min(40, wire.girthMm * 1.5)),
      ],
    },
    {
      id: `${wire.id} lift`,
      name: 'The wire: how high it is lifted',
      variants: [lifted('half as high', 0.5), as('as it is'), lifted('three quarters', 0.75)],
    },
  ];
}

/** Close lines further apart and closer. */
function ofLines(pour: Pour, nth: string): readonly Setting[] {
  const place = pour.pattern?.place;
  if (place?.at !== 'close-lines') return [];
  const apart = (spacingMm: number): Variant => ({
    label: `${mm(spacingMm)} apart`,
    apply: (p) => setPlace(p, pour.id, { ...place, spacingMm }),
  });
  return [
    {
      id: `${pour.id} apart`,
      name: `Lines apart${nth}`,
      variants: [
        apart(Math.max(4, place.spacingMm / 1.6)),
        as(`${mm(place.spacingMm)} apart`),
        apart(Math.min(200, place.spacingMm * 1.6)),
      ],
    },
  ];
}

/** Everything of a plan's patterns, and of its layers that are no planes, that can be varied. */
export function settingsOf(plan: Plan): readonly Setting[] {
  const pours = plan.steps.filter((s): s is Pour => s.kind === 'pour' && s.pattern !== undefined);
  return plan.steps.flatMap((s): readonly Setting[] => {
    if (s.kind === 'stroke') return ofStroke(s);
    if (s.kind === 'wire') return ofWire(s);
    if (s.kind === 'scrape') return ofScrape(plan, s);
    if (s.kind === 'pour' && !s.pattern) return ofRough(plan, s);
    if (s.kind !== 'pour') return [];
    const nth = pours.length > 1 ? `, pour ${pours.indexOf(s) + 1} in rounds` : '';
    return [...ofPour(s, plan, nth), ...ofLines(s, nth)];
  });
}

/** What a setting can be, each called otherwise: at the end of its range less may be as it is. */
export const distinct = ({ variants }: Setting): readonly Variant[] =>
  variants.filter((v, i) => i === PRESENT || variants.every((w, k) => k === i || w.label !== v.label));

/** Which of a setting's variants is the present one. */
const PRESENT = 1;

/** A setting varied across and another one down: up to nine plans, the present one among them. */
export const nineOf = (across: Setting, down: Setting): readonly Varied[] =>
  distinct(down).flatMap((d) =>
    distinct(across).map((a) => ({
      label: `${a.label}, ${d.label}`,
      across: a.label,
      down: d.label,
      present: a === across.variants[PRESENT] && d === down.variants[PRESENT],
      apply: (p: Plan) => d.apply(a.apply(p)),
    })),
  );

/** One of the nine. */
export interface Varied extends Variant {
  readonly across: string;
  readonly down: string;
  /** the design as it is */
  readonly present: boolean;
}
