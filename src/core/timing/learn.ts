/** What is believed of some quantities: a normal distribution, its means and covariances. */
export interface Belief {
  readonly means: readonly number[];
  readonly covariance: readonly (readonly number[])[];
}

/**
 * One observation: so much of each quantity, added up, was seen as `value`, to within a standard deviation.
 */
export interface Observation {
  readonly weights: readonly number[];
  readonly value: number;
  readonly sd: number;
}

/** Beliefs that do not hang together yet, by their means and standard deviations. */
export const independent = (
  quantities: readonly { readonly mean: number; readonly sd: number }[],
): Belief => ({
  means: quantities.map((q) => q.mean),
  covariance: quantities.map((q, i) => quantities.map((_, j) => (i === j ? q.sd * q.sd : 0))),
});

/**
 * A belief once something was observed: normal prior, normal likelihood, in closed form (conjugate update of
 * a linear Gaussian model; Gelman et al., "Bayesian Data Analysis", section 2.5 for one quantity; Kalman, "A
 * new approach to linear filtering and prediction problems", 1960, for several; both from memory). An
 * observation that says nothing of any quantity leaves it as it is.
 */
export function observed(belief: Belief, { weights, value, sd }: Observation): Belief {
  const { means, covariance } = belief;
  const along = covariance.map((row) => row.reduce((s, c, j) => s + c * (weights[j] ?? 0), 0));
  const variance = along.reduce((s, a, i) => s + a * (weights[i] ?? 0), 0) + sd * sd;
  const surprise = value - means.reduce((s, m, i) => s + m * (weights[i] ?? 0), 0);
  return {
    means: means.map((m, i) => m + ((along[i] ?? 0) * surprise) / variance),
    covariance: covariance.map((row, i) =>
      row.map((c, j) => c - ((along[i] ?? 0) * (along[j] ?? 0)) / variance),
    ),
  };
}

export const spreadOf = ({ covariance }: Belief, i: number): number =>
  Math.sqrt(Math.max(0, covariance[i]?.[i] ?? 0));
