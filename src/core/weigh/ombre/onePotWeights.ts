import { doseIn } from '../../ombre/doseIn.ts';
import { onePot } from '../../ombre/onePot.ts';
import { respaced } from '../../ombre/respace.ts';
import { runsOf } from '../../ombre/runs.ts';
import type { Mix } from '../../plan/ombreSchema.ts';
import { toStep } from '../../units/scaleStep.ts';
import { pouredIn, roundAddition, weightOf, type Bench } from './bench.ts';
import type { Common, OmbreLayer, OmbreWeights, PotPasses } from './types.ts';

/** Passes out of one pot a run, each with what is added before it. */
export function onePotWeights(bench: Bench): OmbreWeights {
  const { plan, ombre, shades, pots, fineG } = bench;
  const runs = runsOf(plan, ombre.id);
  const colorants = [...new Set(shades.flatMap((s) => s.mix.map((m) => m.colorant)))];
  const vector = (mix: Mix): number[] => colorants.map((c) => doseIn(mix, c));
  const mixOf = (values: readonly number[]): Mix =>
    colorants.map((colorant, j) => ({ colorant, doseGPerKg: values[j] ?? 0 }));
  const layers: OmbreLayer[] = [];
  let fault: Common['fault'];
  const worked = [...new Set(shades.map((s) => s.pot))].flatMap((potId): PotPasses[] => {
    const pot = pots.get(potId);
    const own = shades.filter((s) => s.pot === potId);
    if (!pot) return [];
    const others = pot.pours.filter((p) => !own.some((s) => s.pourId === p.stepId));
    const solved = onePot(
      own.map((s) => {
        const actual = ombre.actuals.find((a) => a.pour === s.pourId);
        return {
          wanted: vector(s.mix),
          pourG: pouredIn(pot, s.pourId),
          ...(actual
            ? {
                actual: {
                  pouredG: actual.pouredG,
                  addedG:
                    actual.added &&
                    colorants.map((c) => actual.added?.find((a) => a.colorant === c)?.massG ?? 0),
                },
              }
            : {}),
        };
      }),
      {
        batterG: pot.batterG - others.reduce((sum, p) => sum + p.massG, 0),
        round: (massG, j) => roundAddition(bench, colorants[j] ?? '', massG),
        roundBatter: (massG) => toStep(massG, plan.units.scaleStepG),
        respace: (now, next, remaining) => {
          const run = runs[own[next]?.run ?? own.at(-1)?.run ?? 0];
          const inRun = own.slice(next, next + remaining).filter((s) => s.run === own[next]?.run).length;
          const again = run && respaced(plan, ombre, mixOf(now), run.rising, inRun)?.map(vector);
          return again && [...again, ...own.slice(next + inRun).map((s) => vector(s.mix))];
        },
      },
    );
    if (solved.impossibleAt !== undefined)
      fault ??= {
        pourId: own[solved.impossibleAt]?.pourId ?? '',
        message: `pot ${pot.pot.letter} would have to lose a colorant altogether, and no amount of plain batter does that`,
      };
    const passes = solved.passes.map((pass, i) => ({
      ...pass,
      pourId: own[i]?.pourId ?? '',
      colorants: colorants.map((c, j) => weightOf(bench, c, pass.addedG[j] ?? 0)),
    }));
    own.forEach((shade, i) => {
      const pass = solved.passes[i];
      if (pass)
        layers.push({
          shade,
          pot: pot.pot,
          plannedG: pouredIn(pot, shade.pourId),
          pouredG: pass.pouredG,
          mix: mixOf(pass.concentrations),
        });
    });
    const plainG = toStep(
      passes.reduce((sum, p) => sum + p.plainG, 0),
      Math.min(fineG, plan.units.scaleStepG),
    );
    return [{ pot: pot.pot, startG: solved.startG, plainG, passes }];
  });
  layers.sort((a, b) => a.shade.nth - b.shade.nth);
  return { school: 'one-pot', ombre, layers, fault, pots: worked };
}
