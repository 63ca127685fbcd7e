import type { Grams } from './quantity.ts';

const EIGHTHS = ['', '1/8', '1/4', '3/8', '1/2', '5/8', '3/4', '7/8'] as const;

/**
 * A mass as level teaspoons to the nearest eighth: "1 1/4 tsp". Less than a sixteenth is "a pinch"; a
 * tablespoon is three teaspoons. The spoon is only as good as its grams: the scale comes first.
 */
export function teaspoons(massG: Grams, gPerTsp: Grams): string {
  const eighths = Math.round((massG / gPerTsp) * 8);
  if (eighths === 0) return massG > 0 ? 'a pinch' : 'none';
  const whole = Math.floor(eighths / 8);
  const part = EIGHTHS[eighths % 8] ?? '';
  return `${whole > 0 ? whole : ''}${whole > 0 && part ? ' ' : ''}${part} tsp`;
}
