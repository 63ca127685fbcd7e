import { browserStorage } from './browserStorage.ts';

/** What of the day is heard as well as seen. */
export const HEARD = ['silent', 'sound', 'speech'] as const;
export type Heard = (typeof HEARD)[number];

const KEY = 'drip-line/heard';

export const readHeard = (): Heard => {
  const kept = browserStorage()?.getItem(KEY);
  return HEARD.find((h) => h === kept) ?? 'silent';
};

export const keepHeard = (heard: Heard): void => {
  try {
    browserStorage()?.setItem(KEY, heard);
  } catch {
    // no room: it is for this page, then
  }
};
