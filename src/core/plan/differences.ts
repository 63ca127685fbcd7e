import { isRecord } from '../validate/isRecord.ts';
import { dequal } from 'dequal/lite';
import type { Plan } from './planSchema.ts';

/** One place in which two plans differ, as a maker would look for it; absent: it is only in the other. */
export interface Difference {
  /** "Batter, superfat" */
  readonly where: string;
  readonly mine: string | undefined;
  readonly theirs: string | undefined;
}

/** Units that names of fields end with, and how they are written after a figure. */
const UNITS: readonly (readonly [RegExp, string])[] = [
  [/GPerKg$/, ' g/kg'],
  [/MlPerG$/, ' ml/g'],
  [/GPerTsp$/, ' g'],
  [/GMl$/, ' g/ml'],
  [/Percent$/, ' %'],
  [/Mm$/, ' mm'],
  [/Deg$/, '°'],
  [/MassG$/, ' g'],
  [/G$/, ' g'],
  [/Min$/, ' min'],
];

const unitOf = (field: string): readonly [RegExp, string] | undefined =>
  UNITS.find(([end]) => end.test(field) || end.test(`M${field}`));

/** "superfatPercent" as "superfat" */
function wordOf(field: string): string {
  const end = unitOf(field)?.[0];
  const plain = end ? field.replace(end, '') : field;
  const words = (plain === '' ? field : plain).replaceAll(/([a-z])([A-Z])/g, '$1 $2').toLowerCase();
  return words === '' ? field : words;
}

function say(field: string, value: unknown): string | undefined {
  if (value === undefined) return undefined;
  if (typeof value === 'number') return `${Number(value.toPrecision(6))}${unitOf(field)?.[1] ?? ''}`;
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (typeof value === 'string') return value.length > 60 ? `${value.slice(0, 57)}...` : value;
  if (Array.isArray(value)) return value.length === 0 ? 'none' : `${value.length} in it`;
  const named = isRecord(value) ? (value['name'] ?? value['letter'] ?? value['kind']) : undefined;
  return typeof named === 'string' ? named : 'there';
}

/** What something in a list is called. */
function nameIn(list: string, item: Readonly<Record<string, unknown>>, at: number): string {
  const named = item['letter'] ?? item['name'] ?? item['colorant'] ?? item['oil'];
  const one = {
    steps: typeof item['kind'] === 'string' ? item['kind'] : 'step',
    pots: 'pot',
    oils: 'oil',
    ombres: 'ombre',
  }[list];
  const what = one ?? wordOf(list).replace(/s$/, '');
  return typeof named === 'string' ? `${what} ${named}` : `${what} ${at + 1}`;
}

const keyIn = (item: unknown): string | undefined => {
  if (!isRecord(item)) return undefined;
  const key = item['id'] ?? item['colorant'] ?? item['oil'];
  return typeof key === 'string' ? key : undefined;
};

function lists(
  where: readonly string[],
  field: string,
  mine: readonly unknown[],
  theirs: readonly unknown[],
): Difference[] {
  const keyed = [...mine, ...theirs].every((i) => keyIn(i) !== undefined);
  if (!keyed)
    return mine.length === theirs.length && mine.every(isRecord) && theirs.every(isRecord)
      ? mine.flatMap((item, i) => between([...where, nameIn(field, item, i)], '', item, theirs[i]))
      : [
          {
            where: where.join(', '),
            mine: mine.map((i) => say(field, i)).join(', '),
            theirs: theirs.map((i) => say(field, i)).join(', '),
          },
        ];
  const keys = (list: readonly unknown[]): readonly (string | undefined)[] => list.map(keyIn);
  const all = [...new Set([...keys(theirs), ...keys(mine)])];
  const found = all.flatMap((key) => {
    const my = mine.find((i) => keyIn(i) === key);
    const their = theirs.find((i) => keyIn(i) === key);
    const item = (my ?? their) as Readonly<Record<string, unknown>>;
    const at = (my ? mine : theirs).indexOf(item);
    return between([...where.slice(0, -1), nameIn(field, item, at)], '', my, their);
  });
  const common = (list: readonly unknown[], other: readonly unknown[]): readonly (string | undefined)[] =>
    keys(list).filter((k) => keys(other).includes(k));
  return dequal(common(mine, theirs), common(theirs, mine))
    ? found
    : [...found, { where: where.join(', '), mine: 'in this order', theirs: 'in another order' }];
}

function between(where: readonly string[], field: string, mine: unknown, theirs: unknown): Difference[] {
  if (dequal(mine, theirs)) return [];
  if (Array.isArray(mine) && Array.isArray(theirs)) return lists(where, field, mine, theirs);
  if (isRecord(mine) && isRecord(theirs) && mine['kind'] === theirs['kind']) {
    const fields = [...new Set([...Object.keys(theirs), ...Object.keys(mine)])].filter((f) => f !== 'id');
    return fields.flatMap((f) => between([...where, wordOf(f)], f, mine[f], theirs[f]));
  }
  return [{ where: where.join(', '), mine: say(field, mine), theirs: say(field, theirs) }];
}

/**
 * Where two plans differ, in the order of a plan's fields. When they were made and changed does not count.
 */
export function differences(mine: Plan, theirs: Plan): readonly Difference[] {
  const { id: _a, created: _b, changed: _c, ...my } = mine;
  const { id: _d, created: _e, changed: _f, ...their } = theirs;
  return between([], '', my, their).map((d) => ({
    ...d,
    where: d.where.charAt(0).toUpperCase() + d.where.slice(1),
  }));
}
