import { exportRaw } from './exportRaw.ts';
import { rawRecord, setAside, type MadeTable } from '../../store/keeping/aside.ts';

interface DamagedProps {
  readonly table: MadeTable;
  readonly recordKey: string;
  readonly name: string;
}

/** Two ways on from a record that cannot be read: out as it is stored, and out of the way. */
export function DamagedActions({ table, recordKey, name }: DamagedProps) {
  return (
    <span className="flex flex-wrap gap-1.5">
      <button
        type="button"
        className="btn btn-xs"
        onClick={() =>
          void rawRecord(table, recordKey).then((record) => {
            exportRaw(name, record);
          })
        }
      >
        Export as stored
      </button>
      <button type="button" className="btn btn-xs" onClick={() => void setAside(table, recordKey)}>
        Set aside
      </button>
    </span>
  );
}

/** Records of the library that cannot be read, each with its ways on. */
export function DamagedList({
  table,
  keys,
}: {
  readonly table: MadeTable;
  readonly keys: readonly string[];
}) {
  if (keys.length === 0) return null;
  return (
    <ul role="alert" className="grid gap-2 border-l-4 border-error bg-base-100 px-3 py-2 text-sm">
      {keys.map((key) => (
        <li key={key} className="flex flex-wrap items-center gap-2">
          <span>“{key}” is damaged as it is stored, and is not used.</span>
          <DamagedActions table={table} recordKey={key} name={key} />
        </li>
      ))}
    </ul>
  );
}
