import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { dirname } from 'node:path';
import { expect } from 'chai';

/**
 * So many significant digits of a figure are kept: less is the noise of a machine, more than a scale shows.
 */
const DIGITS = 6;

/** Held against what is kept of it; `GOLDEN=write` keeps it as it is now, once `sure` has looked at it. */
export function keptAs(path: string, figures: string, sure: () => void = () => undefined): void {
  if (process.env['GOLDEN'] === 'write') {
    sure();
    mkdirSync(dirname(path), { recursive: true });
    writeFileSync(path, figures);
  }
  const kept = readFileSync(path, 'utf8').split('\n');
  const moved = figures.split('\n').filter((line, i) => line !== kept[i]);
  expect(moved.slice(0, 5).join('\n'), 'figures that moved').to.equal('');
  expect(figures.split('\n').length, 'lines').to.equal(kept.length);
}

/** A word that chooses: a kind, a code, a letter. Of a sentence only its figures count. */
const isWord = (value: string): boolean => value.length <= 24 && !value.includes(' ');

const shownAs = (value: unknown, sentences: boolean): string | undefined => {
  if (typeof value === 'number') return String(Number(value.toPrecision(DIGITS)));
  if (typeof value === 'boolean' || value === null) return String(value);
  if (typeof value !== 'string') return undefined;
  if (sentences) return JSON.stringify(value);
  return isWord(value) ? value : (value.match(/\d+(?:\.\d+)?/g)?.join(' ') ?? undefined);
};

/**
 * Every figure and choice of a sheet's JSON, a line for each thing that is told: its path, places in lists
 * left out, and its values in order. So a sum that changes is read off as that sum. Sentences whole, where
 * they are asked for.
 */
export function figuresOf(json: unknown, sentences = false): string {
  const lines = new Map<string, string[]>();
  const walk = (value: unknown, path: string): void => {
    if (Array.isArray(value)) for (const v of value) walk(v, path);
    else if (typeof value === 'object' && value !== null)
      for (const [key, v] of Object.entries(value)) walk(v, path === '' ? key : `${path}.${key}`);
    else {
      const shown = shownAs(value, sentences);
      if (shown === undefined) return;
      const line = lines.get(path);
      if (line) line.push(shown);
      else lines.set(path, [shown]);
    }
  };
  walk(json, '');
  return [...lines].map(([path, values]) => `${path}: ${values.join(' ')}\n`).join('');
}
