/**
 * So many significant digits of a figure are kept: less is the noise of a machine, more than a scale shows.
 */
const DIGITS = 6;

/** A word that chooses: a kind, a code, a letter. Of a sentence only its figures count. */
const isWord = (value: string): boolean => value.length <= 24 && !value.includes(' ');

const shownAs = (value: unknown): string | undefined => {
  if (typeof value === 'number') return String(Number(value.toPrecision(DIGITS)));
  if (typeof value === 'boolean' || value === null) return String(value);
  if (typeof value !== 'string') return undefined;
  return isWord(value) ? value : (value.match(/\d+(?:\.\d+)?/g)?.join(' ') ?? undefined);
};

/**
 * Every figure and choice of a sheet's JSON, a line for each thing that is told: its path, places in lists
 * left out, and its values in order. So a sum that changes is read off as that sum.
 */
export function figuresOf(json: unknown): string {
  const lines = new Map<string, string[]>();
  const walk = (value: unknown, path: string): void => {
    if (Array.isArray(value)) for (const v of value) walk(v, path);
    else if (typeof value === 'object' && value !== null)
      for (const [key, v] of Object.entries(value)) walk(v, path === '' ? key : `${path}.${key}`);
    else {
      const shown = shownAs(value);
      if (shown === undefined) return;
      const line = lines.get(path);
      if (line) line.push(shown);
      else lines.set(path, [shown]);
    }
  };
  walk(json, '');
  return [...lines].map(([path, values]) => `${path}: ${values.join(' ')}\n`).join('');
}
