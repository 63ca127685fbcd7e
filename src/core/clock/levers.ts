import type { Moment } from '../batter/moments.ts';
import { blendPiping, inPortions, lyeOf, lyingOn, mixAt, scentAt, setClock } from '../edit/clock.ts';
import { settingOils } from '../batter/setsAt.ts';
import type { Plan } from '../plan/planSchema.ts';
import { isPiped } from '../plan/second.ts';
import { formatTemperature } from '../units/format.ts';
import { PIPES } from '../pattern/windows.ts';
import type { Stage } from '../units/quantity.ts';
import { hasJugsDrawnOften, jugEach } from '../edit/jugEach.ts';
import type { Laid } from './course/draft.ts';
import { blends, fluids, landings, loosenings } from './jugLevers.ts';
import type { Levers, Option, Rate } from './option.ts';
import type { PlanCourse } from './planCourse.ts';
import { scentSpeed } from './scents.ts';
import { rateAt, type Speed } from './speed.ts';
import { startStage } from './start.ts';
import { stageFigure } from '../setting/stage.ts';

const WHEN: readonly { readonly moment: Moment; readonly label: string; readonly why: string }[] = [
  {
    moment: 'trace',
    label: 'Scent the whole batch',
    why: 'all layers thicken alike, and the first carries soon',
  },
  { moment: 'colour', label: 'Scent each jug with its colour', why: 'jugs that wait stay thin' },
  {
    moment: 'pour',
    label: 'Scent each jug as it is poured',
    why: 'it sets in the mould, not in the jug',
  },
];

const STARTS: readonly Stage[] = [0.4, 0.7, 1, 1.3, 1.6];
const TEMPERATURES = [27, 32, 38, 43] as const;
const LYES = [27, 30, 33] as const;

/** Changes smaller than this are none. */
const SAME = { stage: 0.15, celsius: 2, percent: 1.2 } as const;

/**
 * Everything that could be otherwise for the sake of the timing; what cannot, or makes no difference, is not
 * among it.
 */
export function leversOf(plan: Plan, laid: Laid, of: PlanCourse, speed: Speed): Levers {
  const many = of.pots.length > 1;
  const quick = plan.batter.fragrances.some((f) => scentSpeed(f).factor > 1);
  const whole = plan.divide.kind === 'after-emulsion';
  const moments = new Set(plan.batter.fragrances.flatMap((f) => f.doses.map((d) => d.moment)));
  const lies = lyingOn(plan);
  const work: (readonly Option[])[] = [
    many && whole
      ? (['all-first', 'each'] as const)
          .filter((c) => c !== (plan.clock.colouring ?? 'each'))
          .map((colouring) => ({
            lever: 'colouring',
            label: colouring === 'each' ? 'Colour each jug just before its pour' : 'Colour all jugs first',
            why:
              colouring === 'each'
                ? 'hands are busy while a layer sets anyway'
                : 'nothing stands between one pour and the next',
            cost: 0.5,
            apply: (p) => setClock(p, { colouring }),
          }))
      : [],
    many && quick && whole
      ? WHEN.filter(({ moment }) => moments.size > 1 || !moments.has(moment)).map(
          ({ moment, label, why }) => ({
            lever: 'scent',
            label,
            why,
            cost: 0.5,
            apply: (p) => scentAt(p, moment),
          }),
        )
      : [],
    landings(plan),
    blends(plan, of),
    fluids(plan, laid, of),
    hasJugsDrawnOften(plan)
      ? [
          {
            lever: 'jugs',
            label: 'Divide into a jug for each pour',
            why: 'each is blended on, or scented, when its own pour comes',
            cost: 2,
            apply: jugEach,
          },
        ]
      : [],
    loosenings(plan, of),
    lies.length > 0 && !plan.clock.warm
      ? [
          {
            lever: 'warm',
            label: 'Stand the mould in a warm cupboard between pours',
            why: 'layers set sooner while the jugs stay cool',
            cost: 2.5,
            apply: (p) => setClock(p, { warm: true }),
          },
        ]
      : [],
    many && (whole || (plan.divide.kind === 'before-lye' && plan.divide.lye === 'together'))
      ? [
          {
            lever: 'portions',
            label: 'Make each portion from its own lye in turn',
            why: 'every layer is fresh; the next oils are weighed as soon as a jug is empty',
            cost: 4,
            apply: inPortions,
          },
        ]
      : [],
    isPiped(plan) ? pipingOptions(plan) : [],
  ];
  const from = startStage(plan);
  const coolest = settingOils(plan.batter)[0]?.atC ?? -Infinity;
  const rates: (readonly Rate[])[] = [
    plan.divide.kind === 'after-emulsion' || many
      ? STARTS.filter((s) => Math.abs(s - from) > SAME.stage).map((start) => ({
          lever: 'start',
          label: `Stop blending at ${stageFigure(start)}`,
          why: start < from ? 'the last jug still pours' : 'layers carry sooner',
          cost: 1,
          faster: 1,
          from: start,
          apply: (p) => setClock(p, { start }),
        }))
      : [],
    // what sets in the oils looks like trace: a temperature at which it does is no way
    TEMPERATURES.filter((c) => Math.abs(c - speed.batterC) > SAME.celsius && c >= coolest).map((celsius) => ({
      lever: 'temperature',
      label: `Mix oils and lye at ${formatTemperature(celsius, plan.units.temperature)}`,
      why: celsius < speed.batterC ? 'cooler batter stays thin for longer' : 'warmer batter sets sooner',
      cost: 1.5,
      faster: rateAt(1, celsius, 30) / rateAt(1, speed.batterC, 30),
      apply: (p) => mixAt(p, celsius),
    })),
    plan.pots.some((p) => p.own?.water)
      ? []
      : LYES.filter((l) => Math.abs(l - speed.lyePercent) > SAME.percent).map((lye) => ({
          lever: 'water',
          label: `Use ${lye < speed.lyePercent ? 'more' : 'less'} water: lye of ${lye} %`,
          why: lye < speed.lyePercent ? 'wetter batter stays thin for longer' : 'stronger lye sets sooner',
          cost: 2.5,
          faster: rateAt(1, 38, lye) / rateAt(1, 38, speed.lyePercent),
          apply: (p) => lyeOf(p, lye),
        })),
  ];
  return {
    work: work.filter((options) => options.length > 0),
    rates: rates.filter((options) => options.length > 0),
  };
}

/** The batter for piping is blended on to where it keeps its shape. */
function pipingOptions(plan: Plan): readonly Option[] {
  const to = PIPES.least + 0.1;
  if (plan.second?.pots.every((p) => (p.blendTo ?? 0) >= PIPES.least)) return [];
  return [
    {
      lever: 'piping',
      label: 'Blend the batter for piping to thick',
      why: 'it keeps its shape at once',
      cost: 1,
      apply: (p) => blendPiping(p, to),
    },
  ];
}
