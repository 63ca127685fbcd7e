import { usePlan } from '../../../parts/usePlan.ts';
import { ColourSight } from './ColourSight.tsx';
import { DispersalList } from './DispersalList.tsx';
import { PalettePlan } from './PalettePlan.tsx';
import { PourContrast } from './PourContrast.tsx';
import { WhiskOrder } from './WhiskOrder.tsx';

/** How the colours are mixed, in what order, and how the design reads. */
export function MixingPage() {
  const { computed } = usePlan('weights');
  const { weights } = computed;
  return (
    <>
      {weights && <DispersalList weights={weights} />}
      {weights && <WhiskOrder weights={weights} />}
      <PourContrast />
      <ColourSight />
      <PalettePlan />
    </>
  );
}
