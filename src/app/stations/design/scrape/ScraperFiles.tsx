import { useState } from 'react';
import { Download, Upload } from 'lucide-react';
import { updateScrape } from '../../../../core/edit/scrape.ts';
import { plateOf } from '../../../../core/exchange/scraper/plate.ts';
import { readScraperSvg } from '../../../../core/exchange/scraper/readSvg.ts';
import { scraperStl } from '../../../../core/exchange/scraper/writeStl.ts';
import { scraperSvg } from '../../../../core/exchange/scraper/writeSvg.ts';
import { planFileName } from '../../../../core/exchange/writePlan.ts';
import type { ScaledLayer } from '../../../../core/weigh/scaled.ts';
import type { Scrape } from '../../../../core/plan/stepSchema.ts';
import { ButtonOfNow } from '../../../parts/ButtonOfNow.tsx';
import { FilePicker } from '../../../parts/FilePicker.tsx';
import { Refused } from '../../../parts/Refused.tsx';
import { useFileTaken } from '../../../parts/useFileTaken.ts';
import { saveFile } from '../../../parts/saveFile.ts';
import { useBench, usePresent } from '../../../parts/usePlan.ts';

interface ScraperFilesProps {
  readonly scrape: Scrape;
  readonly layer: ScaledLayer;
}

/** The scraper as a drawing to cut out and as a solid to print; and an edge drawn elsewhere taken in. */
export function ScraperFiles({ scrape, layer: { room, scraping, nth } }: ScraperFilesProps) {
  const { edit, show } = useBench();
  const plan = usePresent();
  const [taken, setTaken] = useState<string | null>(null);
  const plate = scraping && plateOf(room, scraping);
  const fileName = (ending: string): string =>
    planFileName(plan).replace('.dripline.json', `-scraper-${nth + 1}.${ending}`);
  const { refused, bring } = useFileTaken(readScraperSvg, ({ edge, reliefMm, wideMm }, fileName) => {
    edit((p) => updateScrape(p, scrape.id, { edge, reliefMm }));
    setTaken(
      `“${fileName}” was taken: ${show.length(wideMm)} wide and ${show.length(reliefMm)} deep, ${edge.points.length} points.`,
    );
  });
  return (
    <div className="grid gap-2">
      <p className="quiet text-sm">
        The scraper rests on the rim
        {plate && ` and is ${show.length(plate.betweenMm)} wide between the walls`}. An edge is one path of an
        SVG drawing, from left to right, in true size.
      </p>
      <div className="flex flex-wrap gap-1.5">
        <FilePicker icon={Upload} label="Edge as SVG" accept=".svg,image/svg+xml" onFile={bring}>
          Take in an SVG
        </FilePicker>
        {plate && (
          <>
            <ButtonOfNow
              icon={Download}
              onPress={() =>
                saveFile(
                  fileName('svg'),
                  scraperSvg(plate, `${plan.name}, scraper of pour ${nth + 1}`),
                  'image/svg+xml',
                )
              }
            >
              To cut out, SVG
            </ButtonOfNow>
            <ButtonOfNow
              icon={Download}
              onPress={() => saveFile(fileName('stl'), scraperStl(plate), 'model/stl')}
            >
              To print, STL
            </ButtonOfNow>
          </>
        )}
      </div>
      <Refused why={refused} />
      {taken !== null && refused === null && (
        <p role="status" className="quiet text-sm">
          {taken}
        </p>
      )}
    </div>
  );
}
