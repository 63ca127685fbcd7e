import type { Thing } from '../../../core/mould/propped.ts';
import { propsKeeper } from '../../../store/keeping/library.ts';
import { PROPS } from '../../../store/tables/settingKinds.ts';
import { allOf } from '../../../store/tables/kind.ts';
import { useThings } from '../../parts/useThings.ts';

/** What nearly every kitchen has. Common practice, no source. */
const USUAL: readonly Thing[] = [
  { name: 'spoon handle', heightMm: 15 },
  { name: 'jar lid', heightMm: 8 },
  { name: 'ice tray', heightMm: 25 },
];

const rows = allOf(PROPS);

/** The things a maker has to prop a mould on, and how to change the list. */
export function useThingsToHand(): {
  readonly list: readonly Thing[];
  readonly put: (list: readonly Thing[]) => void;
} {
  const [seen = null] = useThings(PROPS, rows).things;
  return {
    list: seen?.value ?? USUAL,
    put: (list) => {
      void propsKeeper.change('props', seen, list);
    },
  };
}
