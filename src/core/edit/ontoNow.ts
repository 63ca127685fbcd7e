import { dequal } from 'dequal/lite';
import { isRecord } from '../validate/isRecord.ts';

type Fields = Readonly<Record<string, unknown>>;

/** One edit, made to what was shown when it was meant and to what there is by now. */
interface Made<T> {
  readonly shown: T;
  readonly madeToShown: T;
  readonly now: T;
  readonly madeToNow: T;
}

const idOf = (item: unknown): unknown => (isRecord(item) ? item['id'] : undefined);

const byId = (list: unknown): ReadonlyMap<unknown, unknown> =>
  new Map((Array.isArray(list) ? list : []).map((item) => [idOf(item), item]));

const isKeyed = (list: unknown): list is readonly unknown[] =>
  Array.isArray(list) && list.every((item) => typeof idOf(item) === 'string');

/** Of lists whose things have ids: each by itself, in the order of the edit; what was taken out stays out. */
function listOnto({ shown, madeToShown, now, madeToNow }: Made<unknown>): readonly unknown[] {
  const [was, meant, is] = [byId(shown), byId(madeToShown), byId(now)];
  return (madeToNow as readonly unknown[]).map((item) => {
    const id = idOf(item);
    return of({ shown: was.get(id), madeToShown: meant.get(id), now: is.get(id), madeToNow: item });
  });
}

/** A word that says which kind of thing something is: of another kind it has other fields. */
const tellsKind = ({ now, madeToNow }: Made<Fields>, key: string): boolean =>
  typeof now[key] === 'string' &&
  typeof madeToNow[key] === 'string' &&
  now[key] !== madeToNow[key] &&
  !dequal(Object.keys(now).toSorted(), Object.keys(madeToNow).toSorted());

/**
 * It has become another kind of thing since (a share a mass), and the edit makes it a third, or gives what
 * that kind has not: it is the edit's then, whole.
 */
const isOfItsOwnKind = (made: Made<Fields>): boolean => {
  const { shown, now, madeToNow } = made;
  const [kind] = Object.keys(now).filter((k) => now[k] !== shown[k] && tellsKind(made, k));
  return (
    kind !== undefined &&
    (madeToNow[kind] !== shown[kind] ||
      Object.keys(shown).some((k) => !(k in now) && !dequal(madeToNow[k], shown[k])))
  );
};

function fieldsOnto(made: Made<Fields>): Fields {
  const { shown, madeToShown, now, madeToNow } = made;
  if (isOfItsOwnKind(made)) return madeToNow;
  const value: Record<string, unknown> = {};
  for (const key of new Set([...Object.keys(madeToNow), ...Object.keys(now)])) {
    const field = of({
      shown: shown[key],
      madeToShown: madeToShown[key],
      now: now[key],
      madeToNow: madeToNow[key],
    });
    if (field !== undefined) value[key] = field;
  }
  return value;
}

function of(made: Made<unknown>): unknown {
  const { shown, madeToShown, now, madeToNow } = made;
  if (now === shown || madeToNow === now) return madeToNow;
  if (isRecord(shown) && isRecord(madeToShown) && isRecord(now) && isRecord(madeToNow))
    return fieldsOnto({ shown, madeToShown, now, madeToNow });
  if (isKeyed(shown) && isKeyed(madeToShown) && isKeyed(now) && isKeyed(madeToNow)) return listOnto(made);
  return dequal(madeToNow, shown) && dequal(madeToShown, shown) ? now : madeToNow;
}

/**
 * What an edit makes of something that went on since it was shown to who meant the edit. What the edit leaves
 * alone as it was shown, yet puts back to that, stays as it is now: a width just typed is not lost to a
 * length that was typed before the width could be seen.
 */
export const ontoNow = <T extends object>(made: Made<T>): T =>
  made.madeToShown === made.shown ? made.madeToNow : (of(made) as T);
