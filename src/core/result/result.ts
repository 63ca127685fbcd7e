import type { FaultCode } from './codes.ts';

/**
 * An expected failure is data with a reason code. It is thrown only at the outermost edge.
 * `at` is a dotted path to the value at fault ("batter.water.value") where there is one.
 */
export interface Fault {
  readonly code: FaultCode;
  readonly message: string;
  readonly at?: string;
}

export type Result<T> =
  { readonly ok: true; readonly value: T } | { readonly ok: false; readonly fault: Fault };

export const ok = <T>(value: T): Result<T> => ({ ok: true, value });

export const fail = <T = never>(code: FaultCode, message: string, at?: string): Result<T> => ({
  ok: false,
  fault: at === undefined ? { code, message } : { code, message, at },
});
