import { useEffect, useState } from 'react';
import { Link } from 'react-router';
import { storageUse, type StorageUse } from '../../store/keeping/storageUse.ts';
import { useAppSelector } from '../../store/store.ts';
import { ask } from '../../store/ask.ts';
import { clearBinned, countBinned } from '../../store/tables/bin.ts';
import { bytesText } from '../parts/bytesText.ts';
import { useLive } from '../parts/useLive.ts';

/** At the foot of the shelf: how much is stored, and the way to what is kept and to what was deleted. */
export function StorageUsed() {
  const attempt = useAppSelector((s) => s.keeping.attempt);
  const [use, setUse] = useState<StorageUse>();
  const binned = useLive(countBinned) ?? 0;
  useEffect(() => {
    // what has lain in the bin for a month goes; where storage refuses, another time
    ask((db) => clearBinned(db, Date.now())).catch(() => undefined);
  }, []);
  useEffect(() => {
    void storageUse().then(setUse);
  }, [attempt]);
  return (
    <footer className="quiet flex flex-wrap gap-x-3 px-8 py-1.5 text-sm">
      <Link to="/kept" className="underline">
        What is kept
      </Link>
      {binned > 0 && (
        <Link to="/kept" className="underline">
          Bin: {binned}
        </Link>
      )}
      {use?.usedBytes !== undefined && <span>{bytesText(use.usedBytes)} in this browser</span>}
      {use?.lasting === false && (
        <span>the browser may clear it when the disk is full: export what matters</span>
      )}
    </footer>
  );
}
