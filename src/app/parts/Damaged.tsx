import { ask, type Query } from '../../store/ask.ts';
import { rawRecord, setAside } from '../../store/tables/aside.ts';
import { exportRaw } from './exportRaw.ts';
import { Button } from '../kit/Button.tsx';

interface DamagedProps {
  readonly name: string;
  /** the record as it is stored */
  readonly raw: Query<unknown>;
  /** takes it out of the way */
  readonly away: Query<unknown>;
}

/** Two ways on from a record that cannot be read: out as it is stored, and out of the way. */
export function DamagedActions({ name, raw, away }: DamagedProps) {
  return (
    <span className="flex flex-wrap gap-1.5">
      <Button
        size="tiny"
        onClick={() =>
          void ask(raw).then((record) => {
            exportRaw(name, record);
          })
        }
      >
        Export as stored
      </Button>
      <Button size="tiny" onClick={() => void ask(away)}>
        Set aside
      </Button>
    </span>
  );
}

/** What is done with a record of a table that cannot be read. */
export const damagedIn = (table: string, key: string): Omit<DamagedProps, 'name'> => ({
  raw: (db) => rawRecord(db, table, key),
  away: (db) => setAside(db, table, key),
});

/** Records of the library that cannot be read, each with its ways on. */
export function DamagedList({ table, keys }: { readonly table: string; readonly keys: readonly string[] }) {
  if (keys.length === 0) return null;
  return (
    <ul role="alert" className="grid gap-2 border-l-4 border-error bg-base-100 px-3 py-2 text-sm">
      {keys.map((key) => (
        <li key={key} className="flex flex-wrap items-center gap-2">
          <span>“{key}” is damaged as it is stored, and is not used.</span>
          <DamagedActions name={key} {...damagedIn(table, key)} />
        </li>
      ))}
    </ul>
  );
}
