/**
 * The share of a standard normal distribution below z: 1 - phi(z) (b1 t + ... + b5 t^5), t = 1 / (1 +
 * 0.2316419 z), good to 7.5e-8 (Abramowitz & Stegun, "Handbook of Mathematical Functions", 1964, 26.2.17,
 * from memory).
 */
export function normalBelow(z: number): number {
  const t = 1 / (1 + 0.2316419 * Math.abs(z));
  const sum =
    t * (0.31938153 + t * (-0.356563782 + t * (1.781477937 + t * (-1.821255978 + t * 1.330274429))));
  const above = (Math.exp((-z * z) / 2) / Math.sqrt(2 * Math.PI)) * sum;
  return z >= 0 ? 1 - above : above;
}
