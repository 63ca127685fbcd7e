import { doseIn } from '../../ombre/doseIn.ts';
import { onePot } from '../../ombre/onePot.ts';
import { respaced } from '../../ombre/respace.ts';
import { runsOf } from '../../ombre/runs.ts';
import type { Shade } from '../../ombre/shades.ts';
import type { Mix } from '../../plan/ombreSchema.ts';
import { dispersionPerG } from '../../colorant/dispersion.ts';
import { toStep, upToStep } from '../../units/scaleStep.ts';
import { pouredIn, roundAddition, weightOf, type Bench } from './bench.ts';
import type { Common, OmbreLayer, OmbreWeights, PotPasses, WeighedPot } from './types.ts';

/** All pours of a pot in order: one that is not of the ombre takes the shade that is there by then. */
function inPotOrder(pot: WeighedPot, own: readonly Shade[]): readonly Shade[] {
  const shades: Shade[] = [];
  for (const { stepId } of pot.pours) {
    const shade = own.find((s) => s.pourId === stepId);
    const before = shades.at(-1) ?? own[0];
    if (shade) shades.push(shade);
    else if (before) shades.push({ ...before, pourId: stepId });
  }
  return shades;
}

/** Passes out of one pot a run, each with what is added before it. */
export function onePotWeights(bench: Bench): OmbreWeights {
  const { plan, ombre, shades, pots, fineG, happened } = bench;
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
    const inOrder = inPotOrder(pot, own);
    const solved = onePot(
      inOrder.map((s) => {
        const actual = happened.get(s.pourId);
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
        batterG: pot.batterG,
        bulk: colorants.map((c) => dispersionPerG(plan.colorants.find((k) => k.id === c)?.nature)),
        round: (massG, j) => roundAddition(bench, colorants[j] ?? '', massG),
        roundBatter: (massG) => toStep(massG, plan.units.scaleStepG),
        roundUp: (massG) => upToStep(massG, plan.units.scaleStepG),
        respace: (now, next, remaining) => {
          const run = runs[inOrder[next]?.run ?? inOrder.at(-1)?.run ?? 0];
          const inRun = inOrder
            .slice(next, next + remaining)
            .filter((s) => s.run === inOrder[next]?.run).length;
          const again = run && respaced(plan, ombre, mixOf(now), run.rising, inRun)?.map(vector);
          return again && [...again, ...inOrder.slice(next + inRun).map((s) => vector(s.mix))];
        },
      },
    );
    if (solved.impossibleAt !== undefined)
      fault ??= {
        pourId: inOrder[solved.impossibleAt]?.pourId ?? '',
        message: `pot ${pot.pot.letter} would have to lose a colorant altogether, and no amount of plain batter does that`,
      };
    const passes = solved.passes.map((pass, i) => ({
      ...pass,
      pourId: inOrder[i]?.pourId ?? '',
      colorants: colorants.map((c, j) => weightOf(bench, c, pass.addedG[j] ?? 0)),
    }));
    inOrder.forEach((shade, i) => {
      const pass = solved.passes[i];
      if (pass && own.includes(shade))
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
