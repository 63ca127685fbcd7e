import { lainOnSide } from '../cut/way.ts';
import { inSecond } from '../edit/second.ts';
import { removeStep } from '../edit/pours.ts';
import { setRow, setTop, topLast, usualSaltG } from '../edit/tops.ts';
import { updatePot } from '../edit/pots.ts';
import { waitBefore } from '../edit/waits.ts';
import { barGrid, type Footprint } from '../fill/barGrid.ts';
import { MOST_THINGS, topsOf } from '../fill/tops.ts';
import type { Plan } from '../plan/planSchema.ts';
import { secondPot } from '../plan/second.ts';
import type { Top } from '../plan/stepSchema.ts';
import type { TopWay } from '../plan/topSchema.ts';
import { stagePhrase } from '../setting/stage.ts';
import { formatLength, formatMass, formatShort } from '../units/format.ts';
import type { Facts } from './facts.ts';
import type { Remedy, Warning } from './warning.ts';

/** Batter that is piped, or heaped, has to keep its shape: thick. Common practice, no source. */
const KEEPS_SHAPE = 3;

/** So many times the usual salt is a crust. A judgement, no source. */
const CRUST = 2.5;

/** Piped higher than so many times its foot, it leans. A judgement, no source. */
const TALLEST = 1.6;

/** Lengths are known to this, mm. */
const TOUCH = 0.05;

type About = Pick<Warning, 'station' | 'step'>;

/** The narrowest of the bars, each way. */
function narrowest(bars: readonly Footprint[]): { readonly wideMm: number; readonly deepMm: number } {
  return {
    wideMm: Math.min(...bars.map((b) => b.x1 - b.x0)),
    deepMm: Math.min(...bars.map((b) => b.y1 - b.y0)),
  };
}

const barsOf = ({ plan, geometry, fill }: Facts): readonly Footprint[] =>
  barGrid(plan.mould, geometry, plan.cut, fill.heightMm);

const floorHalf = (mm: number): number => Math.floor(mm * 2 + 1e-9) / 2;

/** So many of one size in a row take more than a bar has: they lie on its cuts, or on each other. */
function overCut(
  facts: Facts,
  about: About,
  { count, acrossMm, roomMm, what }: { count: number; acrossMm: number; roomMm: number; what: string },
  remedies: { readonly fewer: (count: number) => Remedy; readonly smaller: (mm: number) => Remedy },
): Warning[] {
  if (count * acrossMm <= roomMm + TOUCH) return [];
  const say = (mm: number): string => formatLength(mm, facts.plan.units.length);
  const fits = Math.floor((roomMm + TOUCH) / acrossMm);
  const size = floorHalf(roomMm / count);
  return [
    {
      ...about,
      code: 'top-over-cut',
      level: 'warn',
      message: `${count} ${what} of ${say(acrossMm)} take ${say(count * acrossMm)}, and a bar has ${say(roomMm)} there: they lie on its cuts.`,
      remedies: [
        ...(fits >= 1 ? [remedies.fewer(fits)] : []),
        ...(size >= 3 ? [remedies.smaller(size)] : []),
      ],
    },
  ];
}

type EveryBar = Extract<TopWay, { rows: number }>;

/** What stands in rows on every bar keeps clear of its cuts, both ways. */
function clearOfCuts(facts: Facts, step: Top, about: About, way: EveryBar, what: string): Warning[] {
  const bars = barsOf(facts);
  if (bars.length === 0) return [];
  const { wideMm, deepMm } = narrowest(bars);
  const { acrossMm } = way;
  const put = (change: Partial<Pick<EveryBar, 'rows' | 'perBar' | 'acrossMm'>>) => (p: Plan) =>
    setTop(p, step.id, { ...way, ...change });
  const say = (mm: number): string => formatLength(mm, facts.plan.units.length);
  const smaller = (mm: number): Remedy => ({ label: `${say(mm)} across`, apply: put({ acrossMm: mm }) });
  return [
    ...overCut(
      facts,
      about,
      { count: way.perBar, acrossMm, roomMm: deepMm, what },
      { fewer: (n) => ({ label: `${n} to a bar`, apply: put({ perBar: n }) }), smaller },
    ),
    ...overCut(
      facts,
      about,
      { count: way.rows, acrossMm, roomMm: wideMm, what: `rows of ${what}` },
      { fewer: (n) => ({ label: `${n} rows`, apply: put({ rows: n }) }), smaller },
    ),
  ];
}

function piped(facts: Facts, step: Top, about: About, way: Extract<TopWay, { top: 'piping' }>): Warning[] {
  const { plan } = facts;
  const say = (mm: number): string => formatLength(mm, plan.units.length);
  const bars = barsOf(facts);
  const { wideMm, deepMm } = narrowest(bars);
  const rows = way.rows.flatMap((row, i): Warning[] => {
    const smaller = (mm: number): Remedy => ({
      label: `Row ${i + 1}: ${say(mm)} across`,
      apply: (p) => setRow(p, step.id, i, { acrossMm: mm }),
    });
    const along =
      row.perBar === undefined || bars.length === 0
        ? []
        : overCut(
            facts,
            about,
            { count: row.perBar, acrossMm: row.acrossMm, roomMm: deepMm, what: `dollops of row ${i + 1}` },
            {
              fewer: (n) => ({
                label: `Row ${i + 1}: ${n} to a bar`,
                apply: (p) => setRow(p, step.id, i, { perBar: n }),
              }),
              smaller,
            },
          );
    const over = Math.abs(row.offMm) + row.acrossMm / 2 - wideMm / 2;
    const within = Math.max(0, floorHalf(wideMm / 2 - row.acrossMm / 2));
    const aside: Warning[] =
      bars.length > 0 && over > TOUCH
        ? [
            {
              ...about,
              code: 'top-over-edge',
              level: 'warn',
              message: `Row ${i + 1} hangs ${say(over)} over the edge of a bar, which is ${say(wideMm)} wide.`,
              remedies:
                row.acrossMm <= wideMm
                  ? [
                      {
                        label: `Row ${i + 1} in to ${say(within)} off the middle`,
                        apply: (p) => setRow(p, step.id, i, { offMm: within * Math.sign(row.offMm) }),
                      },
                    ]
                  : [smaller(floorHalf(wideMm))],
            },
          ]
        : [];
    const tall: Warning[] =
      row.heightMm > row.acrossMm * TALLEST
        ? [
            {
              ...about,
              code: 'piping-tall',
              level: 'warn',
              message: `Row ${i + 1} is ${say(row.heightMm)} high on a foot of ${say(row.acrossMm)}: it leans over.`,
              remedies: [
                {
                  label: `Row ${i + 1}: ${say(row.acrossMm)} high`,
                  apply: (p) => setRow(p, step.id, i, { heightMm: Math.min(80, row.acrossMm) }),
                },
              ],
            },
          ]
        : [];
    return [...along, ...aside, ...tall];
  });
  const thin = [...new Set(way.rows.map((r) => r.pot))].flatMap((id): Warning[] => {
    const pot = secondPot(plan, id);
    return pot && pot.stage < KEEPS_SHAPE
      ? [
          {
            ...about,
            code: 'piping-thin',
            level: 'warn',
            message: `Pot ${pot.letter} is to be piped when it is ${stagePhrase(pot.stage)}: dollops run flat. They keep their shape from ${stagePhrase(KEEPS_SHAPE)} on.`,
            remedies: [
              {
                label: `Pipe it when it is ${stagePhrase(KEEPS_SHAPE)}`,
                apply: (p) => {
                  const next = inSecond(
                    (part) => updatePot(part, id, { stage: KEEPS_SHAPE }),
                    () => 1,
                  )(p);
                  return 'ok' in next ? p : next;
                },
              },
            ],
          },
        ]
      : [];
  });
  return [...rows, ...thin];
}

function mounded(facts: Facts, step: Top, about: About, way: Extract<TopWay, { top: 'mound' }>): Warning[] {
  const { plan, geometry } = facts;
  const say = (mm: number): string => formatLength(mm, plan.units.length);
  const half = (way.runs === 'lengthwise' ? geometry.most.width : geometry.most.length) / 2;
  const outside: Warning[] =
    Math.abs(way.offMm) > half + TOUCH
      ? [
          {
            ...about,
            code: 'top-over-edge',
            level: 'refuse',
            message: `The ridge of the mound is ${say(Math.abs(way.offMm))} off the middle, and the wall is ${say(half)} from it.`,
            remedies: [{ label: 'Along the middle', apply: (p) => setTop(p, step.id, { ...way, offMm: 0 }) }],
          },
        ]
      : [];
  const before = plan.steps.slice(0, plan.steps.indexOf(step));
  const lastPour = before.findLastIndex((s) => s.kind === 'pour');
  const waits = before.slice(lastPour + 1).some((s) => s.kind === 'wait');
  const pour = before[lastPour];
  const pot = plan.pots.find((p) => pour?.kind === 'pour' && p.id === pour.pot);
  const soft: Warning[] =
    !waits && pot && pot.stage < KEEPS_SHAPE
      ? [
          {
            ...about,
            code: 'mound-soft',
            level: 'warn',
            message: `The mound would be heaped on batter that is ${stagePhrase(pot.stage)}: it sinks in. It stands on what is ${stagePhrase(KEEPS_SHAPE)}.`,
            remedies: [
              {
                label: `Wait until it is ${stagePhrase(KEEPS_SHAPE)}`,
                apply: (p) => waitBefore(p, step.id, KEEPS_SHAPE),
              },
            ],
          },
        ]
      : [];
  return [...outside, ...soft];
}

function dented(facts: Facts, step: Top, about: About, way: Extract<TopWay, { top: 'dents' }>): Warning[] {
  const { plan, geometry, stack } = facts;
  const say = (mm: number): string => formatLength(mm, plan.units.length);
  const leave = { label: 'Leave them out', apply: (p: Plan) => removeStep(p, step.id) };
  const lasts = geometry.rooms.flatMap((room) => stack.layers.findLast((l) => l.room === room) ?? []);
  if (lasts.some((l) => !l.rough))
    return [
      {
        ...about,
        code: 'dents-slanted',
        level: 'refuse',
        message: lasts.some((l) => l.scraping)
          ? 'The last layer is scraped to a profile: no dents are pressed into that.'
          : 'The last layer slopes: dents are pressed into a level top.',
        remedies: [leave],
      },
    ];
  const through = Math.max(0, ...lasts.map((l) => l.rough?.crossesMm ?? 0));
  // what is pushed aside raises the top in proportion: at this depth they come to the layer's foot
  const raised = Math.max(0, ...lasts.map((l) => l.rough?.dents?.raisedMm ?? 0));
  const less = floorHalf((way.depthMm * (way.depthMm - raised - through)) / (way.depthMm - raised));
  return [
    ...(through > TOUCH
      ? [
          {
            ...about,
            code: 'dents-through' as const,
            level: 'warn' as const,
            message: `Dents ${say(way.depthMm)} deep go ${say(through)} through the last layer.`,
            remedies: [
              ...(less >= 0.5
                ? [
                    {
                      label: `Only ${say(less)} deep`,
                      apply: (p: Plan) => setTop(p, step.id, { ...way, depthMm: less }),
                    },
                  ]
                : []),
              leave,
            ],
          },
        ]
      : []),
    ...clearOfCuts(facts, step, about, way, 'dents'),
  ];
}

function strewn(facts: Facts, step: Top, about: About, way: Extract<TopWay, { top: 'salt' }>): Warning[] {
  const { plan } = facts;
  const usual = usualSaltG(plan);
  const say = (g: number): string => formatMass(g, 'g', plan.units.fineStepG);
  return [
    ...(way.massG > usual * CRUST
      ? [
          {
            ...about,
            code: 'salt-much' as const,
            level: 'warn' as const,
            message: `${say(way.massG)} of salt is ${formatShort(way.massG / usual, 1)} times what such a top takes: it lies loose, much of it falls off at the cut, and in damp air the top weeps.`,
            remedies: [
              {
                label: `Only ${say(usual)}`,
                apply: (p: Plan) => setTop(p, step.id, { ...way, massG: usual }),
              },
            ],
          },
        ]
      : []),
    ...(plan.cut.onSide !== true && plan.cut.way === undefined
      ? [
          {
            ...about,
            code: 'salt-drags' as const,
            level: 'note' as const,
            message:
              'A wire that goes in through the top drags salt down the faces. Cut on its side it does not.',
            remedies: [{ label: 'Cut on its side', apply: lainOnSide(true) }],
          },
        ]
      : []),
  ];
}

function straws(facts: Facts, step: Top, about: About, way: Extract<TopWay, { top: 'straws' }>): Warning[] {
  const { plan, fill } = facts;
  const say = (mm: number): string => formatLength(mm, plan.units.length);
  const most = Math.max(2, floorHalf(fill.heightMm - 5));
  return [
    ...(way.deepMm > fill.heightMm + TOUCH
      ? [
          {
            ...about,
            code: 'straws-deep' as const,
            level: 'refuse' as const,
            message: `Straws go ${say(way.deepMm)} deep, and the soap is ${say(fill.heightMm)} deep.`,
            remedies: [
              {
                label: `${say(most)} deep`,
                apply: (p: Plan) => setTop(p, step.id, { ...way, deepMm: most }),
              },
            ],
          },
        ]
      : []),
    ...clearOfCuts(facts, step, about, way, 'straws'),
  ];
}

/** Slices parallel to the floor that do not come to the top leave it to what is cut off. */
function inOffcut(facts: Facts, about: About): Warning[] {
  const { plan, cut } = facts;
  const { sliced } = cut;
  if (sliced?.by !== 'floor' || sliced.slices === 0 || cut.bars.some((b) => b.slice?.last)) return [];
  const { same } = cut.evenThicknessMm;
  const say = (mm: number): string => formatLength(mm, plan.units.length);
  return [
    {
      ...about,
      code: 'top-in-offcut',
      level: 'warn',
      message: `Sliced parallel to the floor ${say(sliced.offcutMm)} is left over at the top, and what is put on it goes with that.`,
      remedies:
        same === undefined
          ? []
          : [
              {
                label: `Slices of ${say(Math.floor(same * 10) / 10)}: nothing is left over`,
                apply: (p) => ({ ...p, cut: { ...p.cut, thicknessMm: Math.floor(same * 10) / 10 } }),
              },
            ],
    },
  ];
}

/** What there is to say of one thing that is put on top. */
function ofTop(facts: Facts, step: Top): Warning[] {
  const { plan } = facts;
  const about = { station: 'design', step: step.id } as const;
  const at = plan.steps.indexOf(step);
  const isPour = (s: Plan['steps'][number]): boolean => s.kind === 'pour';
  const leave = { label: 'Leave it out', apply: (p: Plan) => removeStep(p, step.id) };
  if (!plan.steps.some(isPour))
    return [
      {
        ...about,
        code: 'top-on-nothing',
        level: 'refuse',
        message: 'Nothing is poured: there is no top to put it on.',
        remedies: [leave],
      },
    ];
  if (plan.steps.slice(at + 1).some(isPour))
    return [
      {
        ...about,
        code: 'top-buried',
        level: 'refuse',
        message: 'Batter is poured over it afterwards: what is put on top would be buried.',
        remedies: [{ label: 'Put it on last', apply: (p) => topLast(p, step.id) }, leave],
      },
    ];
  const laid = topsOf(facts).find((t) => t.step.id === step.id);
  if (laid?.parts.length === 0 && step.way.top !== 'dents')
    return [
      {
        ...about,
        code: 'top-too-many',
        level: 'refuse',
        message: `More than ${MOST_THINGS} of them on one mould: nobody puts on as many.`,
        remedies: [leave],
      },
    ];
  const first = plan.steps.find((s) => s.kind === 'top') === step;
  return [...(first ? inOffcut(facts, about) : []), ...ofWay(facts, step, about)];
}

function ofWay(facts: Facts, step: Top, about: About): Warning[] {
  const { way } = step;
  switch (way.top) {
    case 'mound':
      return mounded(facts, step, about, way);
    case 'dents':
      return dented(facts, step, about, way);
    case 'piping':
      return piped(facts, step, about, way);
    case 'pieces':
      return clearOfCuts(facts, step, about, way, 'pieces');
    case 'straws':
      return straws(facts, step, about, way);
    case 'salt':
      return strewn(facts, step, about, way);
  }
}

export const topWarnings = (facts: Facts): Warning[] =>
  facts.plan.steps.flatMap((s) => (s.kind === 'top' ? ofTop(facts, s) : []));
