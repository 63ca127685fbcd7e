import { Download } from 'lucide-react';
import { useState } from 'react';
import { writeArchive } from '../../core/exchange/archiveFile.ts';
import { plural } from '../../core/units/words.ts';
import { everything } from '../../store/keeping/archive.ts';
import { Button } from '../kit/Button.tsx';
import { saveFile } from '../parts/saveFile.ts';

/** Everything that is kept here as one file, to be brought again on the shelf of any Drip Line. */
export function ExportAll() {
  const [said, setSaid] = useState('');
  const save = async (): Promise<void> => {
    try {
      const { archive, unread } = await everything();
      const day = new Date().toISOString().slice(0, 10);
      saveFile(`drip-line-${day}.dripline-archive.json`, writeArchive(archive).join(''), 'application/json');
      setSaid(
        `${plural(archive.plans.length, 'plan')}, ${plural(archive.batches.length, 'batch', 'batches')} and ${plural(archive.library.length, 'thing')} of the library are in it.` +
          (unread > 0
            ? ` ${plural(unread, 'damaged record')} could not be read and ${unread === 1 ? 'is' : 'are'} not.`
            : ''),
      );
    } catch {
      setSaid('Storage does not answer: nothing was written.');
    }
  };
  return (
    <div className="flex flex-wrap items-center gap-3">
      <Button icon={Download} onClick={() => void save()}>
        Export everything
      </Button>
      <p role="status" className="text-sm">
        {said}
      </p>
    </div>
  );
}
