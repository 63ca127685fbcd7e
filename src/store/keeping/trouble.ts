/** Why this browser's storage does not do what is asked of it. */
export type Trouble = 'full' | 'denied' | 'newer' | 'blocked' | 'replaced' | 'failing';

/** What a maker is told: what is the matter, and what would help. */
export const TROUBLE_WORDS: Readonly<Record<Trouble, string>> = {
  full: 'This browser has no room left for what Drip Line stores. Free some room on the disk, or delete plans you have exported.',
  denied:
    'This browser does not let Drip Line store anything. Its settings for this site, or a private window, may be why.',
  newer:
    'What is stored here was written by a newer Drip Line. Start that one, so that nothing of it is spoilt.',
  blocked: 'Another tab holds the storage in an older state. Close the other tabs of Drip Line.',
  replaced: 'A newer Drip Line was opened in another tab. Reload this one.',
  failing: 'The storage of this browser does not answer.',
};

/** The storage refused, with a reason known beforehand. */
export class StorageTrouble extends Error {
  readonly trouble: Trouble;
  constructor(trouble: Trouble) {
    super(TROUBLE_WORDS[trouble]);
    this.trouble = trouble;
  }
}

const namesOf = (error: unknown): readonly string[] => {
  if (typeof error !== 'object' || error === null) return [];
  const { name, inner, message } = error as { name?: unknown; inner?: unknown; message?: unknown };
  return [String(name), ...(inner === error ? [] : namesOf(inner)), String(message)];
};

/** The reason in an error of Dexie or of the browser beneath it. */
export function troubleOf(error: unknown): Trouble {
  if (error instanceof StorageTrouble) return error.trouble;
  const names = namesOf(error).join(' ');
  if (/QuotaExceeded/i.test(names)) return 'full';
  if (/VersionError/.test(names)) return 'newer';
  if (/SecurityError|NotAllowed|InvalidStateError|MissingAPI/.test(names)) return 'denied';
  return 'failing';
}
