import { SEED } from '../clock/outlook.ts';
import { beginMin } from '../clock/timetable.ts';
import type { Computed } from '../computed/compute.ts';
import { finish } from '../task/task.ts';
import { Normals } from '../timing/normals.ts';
import { sampling } from '../timing/odds.ts';
import type { StepId } from '../validate/ids.ts';

/** When a step is done, on the clock of the pour; what has no such minute is null. */
export function minutesJson({ clock }: Computed, step: StepId): object {
  const timed = clock?.acts.find((a) => a.about.step?.id === step);
  if (!timed) return {};
  return {
    start_min: beginMin(timed),
    end_min: timed.endMin,
    carried_from_min: timed.carriedFromMin ?? null,
    pourable_until_min: timed.pourableUntilMin ?? null,
    stage: timed.stage,
    below_bears: timed.belowStage,
    border_blur_mm: timed.blurMm,
  };
}

/**
 * How long it takes and how often it holds: each interface (a step that lies on what is below), each pot, the
 * whole.
 */
export function oddsJson({ plan, clock }: Computed, samples: number): object {
  if (!clock) return {};
  const { course, pots } = clock.plan;
  const keeping = plan.clock.keeping ?? 'feel';
  const odds = finish(sampling(course, new Normals(SEED, samples), keeping));
  return {
    clock: {
      total_min: clock.totalMin,
      kept_by: keeping,
      samples: odds.samples,
      seed: odds.seed,
      total_range_min: [odds.total.early, odds.total.late],
      stages_per_minute: Object.fromEntries(
        pots.flatMap(({ pot, ofSecond }, i) => (ofSecond ? [] : [[pot.id, course.pots[i]?.perMinute ?? 0]])),
      ),
      false_trace: course.falseTrace ?? 0,
      odds: {
        whole: odds.whole,
        interfaces: clock.acts.flatMap((a, i) =>
          a.act.carried && a.act.does === 'pour' && a.about.step
            ? [{ step: a.about.step.id, holds: odds.carried[i] ?? 0 }]
            : [],
        ),
        pots: pots.map(({ pot, ofSecond }, i) => ({
          pot: pot.id,
          piping: ofSecond ? true : undefined,
          holds: odds.pots[i] ?? 0,
        })),
      },
    },
  };
}
