import { peakLyeTemperature } from '../batter/lyeHeat.ts';
import { stageWord } from '../setting/stage.ts';
import { propsFor } from '../mould/props.ts';
import { isLevel, type Tilt } from '../mould/tilt.ts';
import type { Pot } from '../plan/planSchema.ts';
import type { Finish, Landing, Wait } from '../plan/stepSchema.ts';
import { formatLength, formatShort, formatPercent, formatTemperature } from '../units/format.ts';
import type { Weight } from '../weigh/ingredients.ts';
import type { Weights } from '../weigh/weights.ts';
import type { Computed } from './compute.ts';
import type { Line, Task } from './procedure.ts';
import { surfaceText } from './surfaceText.ts';

type Draft = Omit<Task, 'id' | 'lines'> & { readonly lines?: readonly Line[] };

const coarse = (w: Weight): Line => ({ name: w.name, massG: w.massG, fine: false });
const fine = (w: Weight): Line => ({ name: w.name, massG: w.massG, fine: true });

const LANDING_WORDS: Readonly<Record<Landing['how'], string>> = {
  stream: 'in a stream',
  low: 'from low down',
  spatula: 'over a spatula held just above the surface',
  spoon: 'by the spoonful',
};

const FINISH_WORDS: Readonly<Record<Finish['what'], Omit<Draft, 'chapter'>>> = {
  mist: {
    text: 'Mist the top lightly with alcohol against soda ash.',
    caution: 'Alcohol mist burns: no flame, no hot oven, no heater near it.',
  },
  insulate: { text: 'Cover and wrap the mould; leave it overnight.' },
  'warm-oven': {
    text: 'Warm the oven to 77 °C (170 °F), switch it OFF, then put the mould in overnight.',
    caution: 'The oven must be off, and no alcohol mist near it while it is warm.',
  },
  'leave-cool': { text: 'Leave the mould open in a cool place or the fridge, so that it does not gel.' },
};

const waitText = ({ until }: Wait): string =>
  until.kind === 'minutes'
    ? `Wait ${formatShort(until.minutes, 1)} min.`
    : `Wait until the last layer is ${stageWord(until.stage)} (stage ${formatShort(until.stage, 1)}): it must not wobble.`;

const potName = (pot: Pot): string => `pot ${pot.letter}, ${pot.name}`;

const SAFETY: readonly Draft[] = [
  {
    chapter: 'safety',
    text: 'Goggles, gloves, long sleeves on. Room aired. No children, no pets. Running water within reach.',
    caution:
      'Sodium hydroxide burns skin and eyes, and raw batter is caustic too: keep the gloves on to the cut. On skin or in eyes: rinse at once with plenty of running water and get medical help.',
  },
  {
    chapter: 'safety',
    text: 'Read the suppliers’ data sheets for the lye and the fragrance. They and your local rules come before this sheet.',
  },
];

function layOut({ plan, geometry }: Computed, w: Weights): Draft[] {
  const { units, mould } = plan;
  const liner = mould.linerMm > 0 ? ', lined' : '';
  const jugs = plan.pots.map((p) => p.letter).join(', ');
  return [
    {
      chapter: 'lay-out',
      text: `${plan.fill.copies > 1 ? `${plan.fill.copies} moulds` : 'Mould'}: ${mould.name}${liner}, ${formatLength(geometry.floor.width, units.length)} wide and ${formatLength(geometry.heightMm, units.length)} high inside.`,
    },
    ...(mould.divider
      ? [
          {
            chapter: 'lay-out' as const,
            text: `Divider in: ${mould.divider.atMm.length} ${mould.divider.runs} ${mould.divider.atMm.length === 1 ? 'wall' : 'walls'}, tight to the floor.`,
          },
        ]
      : []),
    ...(mould.column
      ? [
          {
            chapter: 'lay-out' as const,
            text: `Column: ${mould.column.form}, ${formatLength(mould.column.acrossMm, units.length)} across, weighted so that it stands while batter is poured round it.`,
          },
        ]
      : []),
    { chapter: 'lay-out', text: `A jug for each pot, labelled ${jugs}, and one for the lye.` },
    {
      chapter: 'lay-out',
      text: `Scale to ${units.scaleStepG} g${units.fineStepG < units.scaleStepG ? `, fine scale to ${units.fineStepG} g` : ''}, two thermometers, stick blender, spatulas, paper towels.`,
      caution: 'No aluminium anywhere near lye or raw batter.',
    },
    ...(w.fragranceG > 0
      ? [{ chapter: 'lay-out' as const, text: 'Fragrance, weighed last, lid on until then.' }]
      : []),
  ];
}

function lye({ plan }: Computed, w: Weights): Draft[] {
  const { temperatures } = plan.batter;
  const peak = formatTemperature(
    peakLyeTemperature(w.lyeG, w.waterG, temperatures.waterC),
    plan.units.temperature,
  );
  const dissolved = w.additives.filter((a) => a.into === 'lye');
  return [
    {
      chapter: 'lye',
      text: 'Weigh the water into a heat-safe jug with room to spare.',
      lines: [{ name: 'Water', massG: w.waterG, fine: false }],
    },
    {
      chapter: 'lye',
      text: 'Weigh the sodium hydroxide into a dry, labelled cup.',
      lines: [
        {
          name: `Sodium hydroxide, ${formatPercent(plan.batter.purityPercent)} pure`,
          massG: w.lyeG,
          fine: false,
        },
      ],
    },
    {
      chapter: 'lye',
      text: `Stir the lye into the water, a little at a time. It heats to about ${peak} (estimate). Let it cool to ${formatTemperature(temperatures.lyeC, plan.units.temperature)}.`,
      caution: 'Lye into water, never water into lye. It fumes: stand back and do not breathe over it.',
    },
    ...(dissolved.length > 0
      ? [{ chapter: 'lye' as const, text: 'Stir into the cooled lye.', lines: dissolved.map(fine) }]
      : []),
  ];
}

function oils({ plan }: Computed, w: Weights): Draft[] {
  const inOils = w.additives.filter((a) => a.into === 'oils');
  return [
    {
      chapter: 'oils',
      text: `Weigh the oils, melt the hard ones, mix and bring to ${formatTemperature(plan.batter.temperatures.oilsC, plan.units.temperature)}.`,
      lines: [...w.oils.map(coarse), { name: 'All oils', massG: w.oilsG, fine: false }],
    },
    ...(inOils.length > 0
      ? [{ chapter: 'oils' as const, text: 'Stir into the oils.', lines: inOils.map(fine) }]
      : []),
  ];
}

const colours = (w: Weights): Draft[] =>
  w.pots
    .filter((p) => p.colorants.length > 0)
    .map((p) => ({
      chapter: 'colour',
      pot: p.pot.id,
      text: `Disperse for ${potName(p.pot)}: crush out every lump in a little light oil or water.`,
      lines: p.colorants.map(fine),
    }));

function traceAdditives(w: Weights): Draft[] {
  const atTrace = w.additives.filter((a) => a.into === 'trace');
  return atTrace.length > 0
    ? [{ chapter: 'emulsify', text: 'Stir in at light trace.', lines: atTrace.map(fine) }]
    : [];
}

function oneBatch(computed: Computed, w: Weights): Draft[] {
  const { plan } = computed;
  const scentWhole = w.fragranceG > 0 && plan.batter.fragrance?.when === 'batch';
  const scentPots = w.fragranceG > 0 && plan.batter.fragrance?.when === 'pot';
  return [
    {
      chapter: 'emulsify',
      text: 'Pour the cooled lye solution into the oils and blend in short bursts to a stable emulsion.',
      lines: [
        { name: 'Lye solution, all of it', massG: w.solutionG, fine: false },
        ...w.partLiquids.map(coarse),
      ],
      caution: 'Keep the blender head under the surface: spatters burn.',
    },
    ...traceAdditives(w),
    ...(scentWhole
      ? [
          {
            chapter: 'emulsify' as const,
            text: 'Stir in the fragrance.',
            lines: [{ name: plan.batter.fragrance?.name ?? 'Fragrance', massG: w.fragranceG, fine: true }],
          },
        ]
      : []),
    ...w.pots
      .filter((p) => p.batterG > 0)
      .map((p): Draft => ({
        chapter: 'divide',
        pot: p.pot.id,
        text: `Weigh out ${potName(p.pot)}${p.colorants.length > 0 ? ', and stir in its colorant' : ''}.`,
        lines: [
          { name: 'Batter', massG: p.batterG, fine: false, pot: p.pot.id },
          ...p.colorants.map(fine),
          ...(scentPots
            ? [{ name: plan.batter.fragrance?.name ?? 'Fragrance', massG: p.portion.fragranceG, fine: true }]
            : []),
        ],
      })),
    ...(w.spareG > 0
      ? [
          {
            chapter: 'divide' as const,
            text: 'Batter that goes into no pour: keep a small mould ready for it.',
            lines: [{ name: 'Spare batter', massG: w.spareG, fine: false }],
          },
        ]
      : []),
  ];
}

/** Each pot's own oils, additives, colour and scent ready in its jug before any lye is added. */
function portions({ plan }: Computed, w: Weights): Draft[] {
  const fragrance = plan.batter.fragrance;
  const inPots = w.pots.filter((p) => p.batterG > 0);
  return inPots.map((p): Draft => ({
    chapter: 'divide',
    pot: p.pot.id,
    text: `Make ready ${potName(p.pot)}: into its own jug weigh the mixed oils${p.colorants.length > 0 ? ', then stir in the colorant' : ''}.`,
    lines: [
      { name: 'Mixed oils', massG: p.portion.oilsG, fine: false, pot: p.pot.id },
      ...p.portion.additives.filter((a) => a.massG > 0).map(fine),
      ...p.colorants.map(fine),
      ...(p.portion.fragranceG > 0
        ? [{ name: fragrance?.name ?? 'Fragrance', massG: p.portion.fragranceG, fine: true }]
        : []),
    ],
  }));
}

/** All portions combined at the start, the largest first. */
function combineAll({ plan }: Computed, w: Weights): Draft[] {
  if (plan.divide.kind !== 'before-lye' || plan.divide.lye !== 'together') return [];
  return w.pots
    .filter((p) => p.batterG > 0)
    .toSorted((a, b) => b.batterG - a.batterG)
    .map((p) => combine(p.pot, w));
}

function combine(pot: Pot, w: Weights): Draft {
  const portion = w.pots.find((p) => p.pot.id === pot.id)?.portion;
  return {
    chapter: 'emulsify',
    pot: pot.id,
    text: `Stir the lye solution, weigh its part into ${potName(pot)}, and blend to an emulsion.`,
    lines: [
      { name: 'Lye solution', massG: portion?.solutionG ?? 0, fine: false, pot: pot.id },
      ...(portion?.partLiquids ?? []).map(coarse),
    ],
    caution: 'The lye solution is caustic: pour low and slowly, gloves and goggles on.',
  };
}

/** What to put under which edge, in mm and inches: that is what lies on the bench. */
export function tiltText({ plan, geometry }: Computed, tilt: Tilt): string {
  if (isLevel(tilt)) return 'Take the prop away and set the mould level.';
  const props = propsFor(plan.mould, geometry, tilt).map(
    (p) => `${formatLength(p.heightMm, 'mm')} (${formatLength(p.heightMm, 'in')}) under the ${p.under}`,
  );
  const angles = [tilt.rollDeg, tilt.pitchDeg]
    .filter((d) => d !== 0)
    .map((d) => `${formatShort(Math.abs(d), 1)}°`);
  return `Prop the mould: ${props.join(' and ')}, ${angles.join(' and ')}. Wedge it so that it cannot slip.`;
}

function pouring(computed: Computed, w: Weights): Draft[] {
  const { plan, stack } = computed;
  const { length } = plan.units;
  const jugByJug = plan.divide.kind === 'before-lye' && plan.divide.lye === 'jug-by-jug';
  const byStep = new Map(
    w.pots.flatMap((p) => p.pours.map((q) => [q.stepId, { ...q, pot: p.pot }] as const)),
  );
  const ofG = [...byStep.values()].reduce((s, q) => s + q.massG, 0);
  const combined = new Set<string>();
  const drafts: Draft[] = [];
  let inMouldG = 0;
  let nth = 0;
  for (const step of plan.steps) {
    if (step.kind === 'wait')
      drafts.push({
        chapter: 'pour',
        step: step.id,
        text: waitText(step),
      });
    if (step.kind === 'tilt') drafts.push({ chapter: 'pour', step: step.id, text: tiltText(computed, step) });
    if (step.kind !== 'pour') continue;
    const weight = byStep.get(step.id);
    const layer = stack.layers.find((l) => l.pour.id === step.id);
    if (!weight || !layer) continue;
    if (jugByJug && !combined.has(weight.pot.id)) {
      combined.add(weight.pot.id);
      drafts.push({ ...combine(weight.pot, w), chapter: 'pour' });
    }
    nth += 1;
    inMouldG += weight.massG;
    drafts.push({
      chapter: 'pour',
      step: step.id,
      pot: weight.pot.id,
      text: `Pour ${nth}: ${potName(weight.pot)}${computed.geometry.rooms.length > 1 ? `, compartment ${Math.min(step.compartment + 1, computed.geometry.rooms.length)}` : ''}, ${LANDING_WORDS[step.landing.how]}, ${surfaceText(layer, length)}.`,
      lines: [
        {
          name: plan.fill.copies > 1 ? `Batter into each of ${plan.fill.copies} moulds` : 'Batter',
          massG: weight.eachG,
          fine: false,
          pot: weight.pot.id,
        },
      ],
      running: { inMouldG, ofG },
    });
  }
  return drafts;
}

function topping({ plan }: Computed, w: Weights): Draft[] {
  const held = w.pots.filter((p) => p.heldBackG > 0);
  if (held.length === 0) return [];
  const jugByJug = plan.divide.kind === 'before-lye' && plan.divide.lye === 'jug-by-jug';
  const poured = new Set(plan.steps.flatMap((s) => (s.kind === 'pour' ? [s.pot] : [])));
  return [
    ...(jugByJug
      ? held
          .filter((p) => !poured.has(p.pot.id))
          .map((p) => ({ ...combine(p.pot, w), chapter: 'top' as const }))
      : []),
    {
      chapter: 'top',
      text: plan.mould.column
        ? 'Pull the column straight up, fill the hole with the batter held back, then spoon the rest over the top.'
        : 'Spoon the batter held back over the top; swirl no deeper than 6 mm (1/4 in).',
      lines: held.map((p) => ({
        name: `Held back in pot ${p.pot.letter}, ${p.pot.name}`,
        massG: p.heldBackG,
        fine: false,
        pot: p.pot.id,
      })),
    },
  ];
}

function finishing({ plan }: Computed): Draft[] {
  return plan.steps.flatMap((s) =>
    s.kind === 'finish' ? [{ chapter: 'finish' as const, step: s.id, ...FINISH_WORDS[s.what] }] : [],
  );
}

function cutting({ plan, cut }: Computed): Draft[] {
  const { length } = plan.units;
  const bars = cut.count * plan.fill.copies;
  const strips = plan.cut.strips > 1 ? `, in ${plan.cut.strips} strips across` : '';
  return [
    {
      chapter: 'cut',
      text: 'Unmould after 18 to 48 h, when it is firm enough not to dent.',
      caution: 'Gloves stay on: fresh soap is still caustic.',
    },
    ...(bars > 0
      ? [
          {
            chapter: 'cut' as const,
            text: `Cut ${bars} bars of ${formatLength(plan.cut.thicknessMm, length)}, ${formatLength(plan.cut.trimStartMm, length)} trimmed at the near end and ${formatLength(plan.cut.trimEndMm, length)} at the far end${strips}. Cure 4 to 6 weeks.`,
          },
        ]
      : []),
  ];
}

/** The whole job in order, from goggles to the cut. Empty while something in the plan is refused. */
export function procedureOf(computed: Computed): readonly Task[] {
  const w = computed.weights;
  if (!w) return [];
  const ahead = computed.plan.divide.kind === 'before-lye';
  const drafts: Draft[] = [
    ...SAFETY,
    ...layOut(computed, w),
    ...(ahead ? [...oils(computed, w), ...colours(w), ...portions(computed, w)] : []),
    ...lye(computed, w),
    ...(ahead ? combineAll(computed, w) : [...oils(computed, w), ...colours(w), ...oneBatch(computed, w)]),
    ...pouring(computed, w),
    ...topping(computed, w),
    ...finishing(computed),
    ...cutting(computed),
  ];
  return drafts.map((d, i) => ({ lines: [], ...d, id: `t${i + 1}` }));
}
