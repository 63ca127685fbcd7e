import { colourWord } from '../colour/colourWord.ts';
import type { Computed } from '../computed/compute.ts';
import type { Vessel, VesselKey } from '../day/vessel.ts';
import { vesselName } from '../day/vesselName.ts';
import { jugLedger } from '../procedure/jugLedger.ts';
import type { Grams } from '../units/quantity.ts';
import { upperFirst } from '../units/words.ts';
import type { PotId } from '../validate/ids.ts';

/** What stands on a jug. */
export interface Label {
  readonly key: VesselKey;
  /** tells it apart without colour, and wet */
  readonly letter: string;
  readonly name: string;
  /** the most that it ever holds */
  readonly massG: Grams;
  readonly colour?: string;
  readonly pot?: PotId;
  readonly lye?: true;
  readonly danger?: true;
}

function labelOf({ plan, second, colours }: Computed, vessel: Vessel, massG: Grams): Label | undefined {
  const of = vessel.ofSecond ? second : { plan, colours };
  if (!of) return undefined;
  const piping = vessel.ofSecond ? ', for piping' : '';
  const { key } = vessel;
  if (vessel.kind === 'lye')
    return { key, letter: 'LYE', name: `Lye solution${piping}`, massG, lye: true, danger: true };
  if (vessel.kind === 'pot') {
    const pot = of.plan.pots.find((p) => p.id === vessel.pot);
    const hex = of.colours.pots.get(vessel.pot);
    return (
      pot && {
        key,
        letter: pot.letter,
        name: `${pot.name}${piping}`,
        massG,
        ...(hex === undefined ? {} : { colour: colourWord(hex) }),
        ...(vessel.ofSecond ? {} : { pot: pot.id }),
      }
    );
  }
  if (vessel.kind === 'stock')
    return {
      key,
      letter: vessel.which === 'first' ? '1' : '2',
      name: upperFirst(vesselName(of.plan, vessel)),
      massG,
    };
  return undefined;
}

/** A label for every jug of the day, those with lye first. */
export function labelsOf(computed: Computed): readonly Label[] {
  const most = new Map<VesselKey, { readonly vessel: Vessel; readonly massG: Grams }>();
  for (const { vessels } of jugLedger(computed))
    for (const { vessel, holdsG } of vessels)
      if (holdsG > (most.get(vessel.key)?.massG ?? 0)) most.set(vessel.key, { vessel, massG: holdsG });
  return [...most.values()]
    .flatMap(({ vessel, massG }) => labelOf(computed, vessel, massG) ?? [])
    .toSorted((a, b) => Number(b.danger ?? false) - Number(a.danger ?? false));
}
