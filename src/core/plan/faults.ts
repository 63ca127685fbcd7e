import type { Named } from '../result/codes.ts';
import type { Fault } from '../result/result.ts';

export const repeats = (list: readonly { readonly id: string }[], at: string): Fault[] =>
  list.flatMap((item, i) =>
    list.findIndex((other) => other.id === item.id) < i
      ? [{ code: 'repeated-id', message: `"${item.id}" is used twice`, at: `${at}.${i}.id` }]
      : [],
  );

export const unknown = (what: Named, at: string, id: string): Fault => ({
  code: `unknown-${what}`,
  message: `there is no ${what} "${id}"`,
  at,
});
