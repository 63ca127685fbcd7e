import { WarningCards } from '../../parts/WarningCards.tsx';
import { usePlan } from '../../parts/usePlan.ts';

/** Said in the place of figures that nobody should pour by. */
export function Refused({ title }: { readonly title: string }) {
  const { computed } = usePlan('warnings');
  return (
    <div className="grid gap-5 p-5">
      <h2 className="text-xl">{title}</h2>
      <p>There is no sheet while something is refused: nobody should pour by these numbers.</p>
      <WarningCards warnings={computed.warnings.filter((w) => w.level === 'refuse')} />
    </div>
  );
}
