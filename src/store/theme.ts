import { browserStorage } from './browserStorage.ts';

export type Theme = 'day' | 'evening';

const KEY = 'drip-line/theme';

/**
 * The chosen theme, or the machine's preference where none was chosen. It is asked for before anything is
 * drawn.
 */
export const readTheme = (): Theme => {
  const kept = browserStorage()?.getItem(KEY);
  if (kept === 'day' || kept === 'evening') return kept;
  return matchMedia('(prefers-color-scheme: dark)').matches ? 'evening' : 'day';
};

export const showTheme = (theme: Theme): void => {
  document.documentElement.dataset['theme'] = theme;
};

export const keepTheme = (theme: Theme): void => {
  showTheme(theme);
  try {
    browserStorage()?.setItem(KEY, theme);
  } catch {
    // no room: it is for this page, then
  }
};
