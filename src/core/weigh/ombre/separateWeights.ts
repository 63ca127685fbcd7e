import { respaced } from '../../ombre/respace.ts';
import { runsOf } from '../../ombre/runs.ts';
import { pouredIn, roundAddition, weightOf, type Bench } from './bench.ts';
import { ownPots } from './ownPots.ts';
import type { OmbreLayer, OmbreWeights } from './types.ts';

/** A pot for each layer, with its own colorants. */
export function separateWeights(bench: Bench): OmbreWeights {
  const { plan, ombre, shades, happened } = bench;
  const { list, fault } = ownPots(bench);
  const runs = runsOf(plan, ombre.id);
  let wanted = list.map(({ shade }) => shade.mix);
  const dosed = list.map(({ shade, pot }, i) => {
    const actual = happened.get(shade.pourId)?.added;
    const colorants = (wanted[i] ?? []).map(({ colorant, doseGPerKg }) =>
      weightOf(
        bench,
        colorant,
        actual
          ? (actual.find((a) => a.colorant === colorant)?.massG ?? 0)
          : roundAddition(bench, colorant, (doseGPerKg * pot.batterG) / 1000),
      ),
    );
    const mix = colorants.map((c) => ({
      colorant: c.id,
      doseGPerKg: pot.batterG > 0 ? (c.massG / pot.batterG) * 1000 : 0,
    }));
    if (actual) {
      const later = list.slice(i + 1).filter((l) => l.shade.run === shade.run).length;
      const again = respaced(plan, ombre, mix, runs[shade.run]?.rising ?? true, later);
      wanted = wanted.map((m, k) => (k > i && k <= i + later ? (again?.[k - i - 1] ?? m) : m));
    }
    return { pot, colorants, mix };
  });
  const layers = shades.flatMap((shade): OmbreLayer[] => {
    const own = dosed.find((d) => d.pot.pot.id === shade.pot);
    const plannedG = pouredIn(own?.pot, shade.pourId);
    const pouredG = happened.get(shade.pourId)?.pouredG ?? plannedG;
    return own ? [{ shade, pot: own.pot.pot, plannedG, pouredG, mix: own.mix }] : [];
  });
  return {
    school: 'separate-pots',
    ombre,
    layers,
    fault,
    pots: dosed.map((d) => ({ pot: d.pot.pot, colorants: d.colorants })),
  };
}
