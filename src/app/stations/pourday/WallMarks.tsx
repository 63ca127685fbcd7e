import { Download } from 'lucide-react';
import { wallMarksSvg } from '../../../core/exchange/wallMarks.ts';
import { planFileName } from '../../../core/exchange/writePlan.ts';
import { usePlan } from '../../parts/usePlan.ts';
import { saveFile } from '../../parts/saveFile.ts';

/** Strips to tape to the walls, in true size on paper, with the mark that each pour comes up to. */
export function WallMarks() {
  const { plan, computed } = usePlan();
  const svg = wallMarksSvg(computed);
  return (
    <section aria-label="Wall marks" className="grid gap-2 break-inside-avoid">
      <div className="flex items-center justify-between gap-3">
        <h3 className="text-base text-accent print:text-black">Wall marks</h3>
        <button
          type="button"
          className="btn btn-sm no-print"
          onClick={() => {
            saveFile(planFileName(plan).replace('.dripline.json', '-wall-marks.svg'), svg, 'image/svg+xml');
          }}
        >
          <Download className="size-4" aria-hidden="true" />
          Save as SVG
        </button>
      </div>
      <p className="quiet text-sm print:text-black">
        Print at 100 %, cut out, and tape each strip to the middle of its wall, its foot on the lined floor.
      </p>
      <img
        alt="Strips for the walls with the mark of each pour"
        src={`data:image/svg+xml;charset=utf-8,${encodeURIComponent(svg)}`}
        className="max-w-full justify-self-start bg-white print:max-w-none"
      />
    </section>
  );
}
