import type { ToLayOut } from '../../core/making/laidOut.ts';
import { useColorants } from '../parts/colour/useLibrary.ts';
import { useShow } from '../parts/useShow.ts';
import { useSupplies } from '../parts/useSupplies.ts';
import { useDay } from './dayContext.ts';

/** What is wanted of the stores and is not there, as far as they know of it. */
export function useShort(all: readonly ToLayOut[]): readonly string[] {
  const { state } = useDay();
  const { plan } = state;
  const show = useShow(plan.units);
  const library = useColorants();
  const jars = useSupplies('jar');
  return plan.colorants.flatMap((colorant): readonly string[] => {
    const what = `${colorant.jar === undefined ? 'colorant' : 'jar'}:${colorant.id}`;
    const wanted = all.find((r) => r.substance === what)?.massG ?? 0;
    const jar = jars.find(
      ({ value }) => value.name === colorant.jar && value.colorant === colorant.id,
    )?.value;
    const hasG = jar ? jar.leftG : library.find((c) => c.id === colorant.id)?.stockG;
    return hasG !== undefined && hasG < wanted
      ? [`${jar?.name ?? colorant.name}: ${show.fine(wanted)} wanted, ${show.fine(hasG)} there`]
      : [];
  });
}
