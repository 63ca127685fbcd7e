import { bodyOfHex, hexOfBody } from '../../core/colour/body.ts';
import { tint } from '../../core/colour/pigment.ts';
import { shiftedPigment } from '../../core/look/shifts.ts';
import type { SoapState } from '../../core/look/state.ts';
import type { Nature } from '../../core/colorant/schema.ts';
import { formatShort } from '../../core/units/format.ts';

const CURED: SoapState = { age: 'cured', heat: 0, scented: false };

const PARTS = [0, 0.05, 0.15, 0.35, 0.6, 1, 1.5] as const;

/** What this colorant makes of its plain soap at rising doses. */
export function DoseStrip({ nature }: { readonly nature: Nature }) {
  const base = bodyOfHex(nature.base);
  const pigment = shiftedPigment({ ...nature, fadesPercent: 0, palesPercent: 0 }, CURED);
  return (
    <div className="flex min-w-0 flex-1" role="img" aria-label="The colorant at rising doses">
      {PARTS.map((part) => {
        const doseGPerKg = part * nature.doseGPerKg;
        return (
          <span key={part} className="grid flex-1">
            <span
              className="h-9 border-y border-black/15"
              style={{ background: hexOfBody(tint(base, [{ pigment, doseGPerKg }])) }}
            />
            <span className="quiet text-center text-xs">
              {formatShort(doseGPerKg, doseGPerKg < 1 ? 2 : 1)}
            </span>
          </span>
        );
      })}
    </div>
  );
}
