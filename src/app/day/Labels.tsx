import { Printer } from 'lucide-react';
import { labelsOf } from '../../core/making/labels.ts';
import { Press } from './Press.tsx';
import { useShow } from '../parts/useShow.ts';
import { useColours } from '../parts/usePlan.ts';
import { useDay } from './dayContext.ts';
import { Heading } from './Heading.tsx';

/**
 * Labels to cut out for the jugs: letter, name, grams and colour word. The letter tells them apart in black
 * and white.
 */
export function Labels() {
  const { computed } = useDay();
  const { plan } = computed;
  const show = useShow(plan.units);
  const colours = useColours();
  return (
    <main className="min-h-0 flex-1 overflow-y-auto px-4 py-4 sm:px-8 print:overflow-visible print:p-0">
      <div className="no-print mb-4 flex flex-wrap items-end justify-between gap-3">
        <Heading of="labels">Labels for the jugs</Heading>
        <Press icon={Printer} onClick={() => print()}>
          Print
        </Press>
      </div>
      <ul className="grid grid-cols-[repeat(auto-fill,minmax(15rem,1fr))] gap-3 print:grid-cols-3 print:gap-0 print:text-black">
        {labelsOf(computed).map((label) => (
          <li
            key={label.key}
            className="grid grid-cols-[auto_minmax(0,1fr)] items-center gap-x-3 border-2 border-dashed border-base-content/50 bg-base-100 p-3 break-inside-avoid print:border-black print:bg-white"
          >
            <strong className={`leading-none ${label.letter.length > 1 ? 'text-3xl' : 'text-6xl'}`}>
              {label.letter}
            </strong>
            <span className="leading-tight">
              <strong className="block text-lg">{label.name}</strong>
              <span className="block text-xl font-bold tabular-nums">
                {label.lye ? show.lye(label.massG) : show.mass(label.massG)}
              </span>
              {label.colour !== undefined && <span className="block">{label.colour}</span>}
              {label.pot !== undefined && (
                <span
                  className="mt-1 block h-3 w-full border border-base-content/40"
                  style={{ background: colours.pots.get(label.pot) }}
                />
              )}
              {label.danger && <span className="block font-bold">CAUSTIC: BURNS SKIN AND EYES</span>}
            </span>
          </li>
        ))}
      </ul>
    </main>
  );
}
