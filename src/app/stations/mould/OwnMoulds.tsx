import { Download, X } from 'lucide-react';
import { useState } from 'react';
import { mouldFileName, readMouldFile, writeMouldFile } from '../../../core/exchange/mouldFile.ts';
import type { Mould } from '../../../core/mould/schema.ts';
import { mouldKeeper } from '../../../store/keeping/library.ts';
import { ButtonOfNow } from '../../parts/ButtonOfNow.tsx';
import { AskReplace } from '../../parts/AskReplace.tsx';
import { FilePicker } from '../../parts/FilePicker.tsx';
import { Refused } from '../../parts/Refused.tsx';
import { useFileTaken } from '../../parts/useFileTaken.ts';
import { saveFile } from '../../parts/saveFile.ts';
import { useBench } from '../../parts/usePlan.ts';
import { useOwnMoulds } from './useOwnMoulds.ts';
import { IconButton } from '../../kit/IconButton.tsx';

/** The library of one's own moulds: keep this one, take in and give out mould files. */
export function OwnMoulds() {
  const { plan } = useBench();
  const { things: own } = useOwnMoulds();
  const [asked, setAsked] = useState<Mould | null>(null);
  const seen = (name: string) => own.find((m) => m.value.name === name) ?? null;
  const known = seen(plan.mould.name) !== null;
  const keep = (mould: Mould): void => {
    void mouldKeeper.change(mould.name, seen(mould.name), mould);
    setAsked(null);
  };
  const { refused, bring } = useFileTaken(readMouldFile, (mould) =>
    seen(mould.name) ? setAsked(mould) : keep(mould),
  );
  return (
    <>
      <div className="flex flex-wrap gap-2">
        <ButtonOfNow onPress={() => keep(plan.mould)}>
          {known ? `Keep the change to “${plan.mould.name}”` : 'Keep this mould'}
        </ButtonOfNow>
        <FilePicker label="Mould file" accept=".json,application/json" onFile={bring}>
          Import a mould
        </FilePicker>
      </div>
      {asked && (
        <AskReplace
          name={asked.name}
          taken={own.map((m) => m.value.name)}
          onReplace={() => keep(asked)}
          onBeside={(name) => keep({ ...asked, name })}
          onLeave={() => setAsked(null)}
        />
      )}
      <Refused why={refused} />
      <ul>
        {own.map(({ value: mould }) => (
          <li key={mould.name} className="rule flex items-center gap-1 border-b py-0.5">
            <span className="flex-1 truncate">{mould.name}</span>
            <IconButton
              icon={Download}
              label={`Export ${mould.name}`}
              onClick={() => saveFile(mouldFileName(mould), writeMouldFile(mould), 'application/json')}
            />
            <IconButton
              icon={X}
              label={`Take ${mould.name} out of my moulds`}
              onClick={() => void mouldKeeper.change(mould.name, seen(mould.name), null)}
            />
          </li>
        ))}
      </ul>
      <p className="quiet text-sm">
        Plans keep their own copy: changing a mould here changes no plan made before.
      </p>
    </>
  );
}
