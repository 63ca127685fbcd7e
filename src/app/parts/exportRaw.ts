import { fileStem } from '../../core/exchange/writePlan.ts';
import { saveFile } from './saveFile.ts';

/** A damaged record as it is stored, as a file to keep. */
export const exportRaw = (name: string, record: unknown): void => {
  saveFile(
    `${fileStem(name, 'record')}.damaged.json`,
    `${JSON.stringify(record, null, 2)}\n`,
    'application/json',
  );
};
