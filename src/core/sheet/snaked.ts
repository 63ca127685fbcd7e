/** A name as the sheet's JSON writes it: `densityGMl` is `density_g_ml`. */
const snake = (name: string): string => name.replaceAll(/[A-Z]/g, (letter) => `_${letter.toLowerCase()}`);

/** Parts of a thing under their names in the sheet's JSON, in this order. What is in them stays as it is. */
export const snaked = <T extends object>(of: T, ...parts: readonly (keyof T & string)[]): object =>
  Object.fromEntries(parts.map((part) => [snake(part), of[part]]));
