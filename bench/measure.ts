export type Say = (name: string, value: string) => void;

/** Median time of one call in ms, over several batches long enough to time. */
export function medianMs(job: () => void, batches = 15): number {
  job();
  const once = performance.now();
  job();
  const calls = Math.max(1, Math.ceil(20 / Math.max(0.001, performance.now() - once)));
  const times = Array.from({ length: batches }, () => {
    const start = performance.now();
    for (let i = 0; i < calls; i += 1) job();
    return (performance.now() - start) / calls;
  }).sort((a, b) => a - b);
  return times[Math.floor(times.length / 2)] ?? Number.NaN;
}

export const percentile = (values: readonly number[], p: number): number =>
  values.toSorted((a, b) => a - b)[Math.min(values.length - 1, Math.floor((values.length * p) / 100))] ??
  Number.NaN;

export const ms = (value: number): string => `${value.toFixed(value < 1 ? 3 : 2)} ms`;
