import { Download } from 'lucide-react';
import type { MouldFacts } from '../../../core/advice/facts.ts';
import { mouldNames } from '../../../core/plan/moulds.ts';
import { wallMarksSvg } from '../../../core/exchange/wallMarks.ts';
import { fileStem, planFileName } from '../../../core/exchange/writePlan.ts';
import { ButtonOfNow } from '../../parts/ButtonOfNow.tsx';
import { usePresent } from '../../parts/usePlan.ts';
import { saveFile } from '../../parts/saveFile.ts';

/** Strips to tape to the walls, in true size on paper, with the mark that each pour comes up to. */
export function WallMarks({ of }: { readonly of: MouldFacts }) {
  const plan = usePresent();
  const name = plan.others.length > 0 ? (mouldNames(plan).get(of.use.id) ?? '') : '';
  const title = name === '' ? 'Wall marks' : `Wall marks: ${name}`;
  const svg = wallMarksSvg(of, name === '' ? plan.name : `${plan.name}, ${name}`);
  const file = `${name === '' ? '' : `-${fileStem(name, 'mould')}`}-wall-marks.svg`;
  return (
    <section aria-label={title} className="grid gap-2 break-inside-avoid">
      <div className="flex items-center justify-between gap-3">
        <h3 className="text-base text-accent print:text-black">{title}</h3>
        <ButtonOfNow
          icon={Download}
          className="no-print"
          onPress={() => saveFile(planFileName(plan).replace('.dripline.json', file), svg, 'image/svg+xml')}
        >
          Save as SVG
        </ButtonOfNow>
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
