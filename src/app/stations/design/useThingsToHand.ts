import * as v from 'valibot';
import type { Thing } from '../../../core/mould/propped.ts';
import { lengthMm, listOf, name } from '../../../core/validate/fields.ts';
import { database, type SettingRecord } from '../../../store/database.ts';
import { thingsKeeper } from '../../../store/keeping/library.ts';
import { useThings } from '../../parts/useThings.ts';

const schema = listOf(
  v.strictObject({ name: name(60), heightMm: lengthMm(0.5, 400) }),
  60,
  'at most 60 things',
);

/** What nearly every kitchen has. Common practice, no source. */
const USUAL: readonly Thing[] = [
  { name: 'spoon handle', heightMm: 15 },
  { name: 'jar lid', heightMm: 8 },
  { name: 'ice tray', heightMm: 25 },
];

const rows = (): Promise<readonly SettingRecord[]> =>
  database.settings.where('key').equals('props').toArray();
const keyOf = (row: SettingRecord): string => row.key;
const read = (row: SettingRecord): readonly Thing[] | undefined => {
  const parsed = v.safeParse(schema, row.value);
  return parsed.success ? parsed.output : undefined;
};

/** The things a maker has to prop a mould on, and how to change the list. */
export function useThingsToHand(): {
  readonly list: readonly Thing[];
  readonly put: (list: readonly Thing[]) => void;
} {
  const { things } = useThings<readonly Thing[], SettingRecord>('settings', rows, keyOf, read);
  // other settings may be on their way to storage too
  const seen = things.find((t) => Array.isArray(t.value)) ?? null;
  return {
    list: seen?.value ?? USUAL,
    put: (list) => {
      void thingsKeeper.change('props', seen, list);
    },
  };
}
