import type { Batch } from '../../core/batch/batchSchema.ts';
import type { Colorant } from '../../core/colorant/schema.ts';
import { mouldFileName, writeMouldFile } from '../../core/exchange/mouldFile.ts';
import { writePaletteFile, type Palette } from '../../core/exchange/palette.ts';
import { fileStem, planFileName, writePlanFile } from '../../core/exchange/writePlan.ts';
import { batchFileName, writeBatchFile } from '../../core/exchange/batchFile.ts';
import type { Mould } from '../../core/mould/schema.ts';
import { store } from '../../store/store.ts';
import { writeCsv } from '../colorants/csv.ts';
import { saveFile } from './saveFile.ts';

const JSON_TYPE = 'application/json';

/** Everything that this page has and storage refuses, as files to keep. */
export function exportUnstored(): void {
  const { keeping, plan: open, library } = store.getState();
  for (const [id, work] of Object.entries(keeping.works)) {
    const plan = work.left ?? (open.present?.id === id ? open.present : null);
    if (plan && work.trouble !== null) saveFile(planFileName(plan), writePlanFile(plan), JSON_TYPE);
  }
  const refused = Object.values(library).filter((p) => p.trouble !== null && p.value !== null);
  const of = (table: string): readonly unknown[] =>
    refused.filter((p) => p.table === table).map((p) => p.value);
  const colorants = of('colorants') as readonly Colorant[];
  if (colorants.length > 0) saveFile('colorants.csv', writeCsv(colorants), 'text/csv');
  for (const mould of of('moulds') as readonly Mould[])
    saveFile(mouldFileName(mould), writeMouldFile(mould), JSON_TYPE);
  for (const batch of of('batches') as readonly Batch[])
    saveFile(batchFileName(batch), writeBatchFile(batch), JSON_TYPE);
  for (const palette of of('palettes') as readonly Palette[])
    saveFile(
      `${fileStem(palette.name, 'palette')}.dripline-palette.json`,
      writePaletteFile(palette),
      JSON_TYPE,
    );
}
