export type Theme = 'day' | 'evening';

const KEY = 'drip-line/theme';

/** The chosen theme, or the machine's preference where none was chosen. */
export const readTheme = (): Theme => {
  const kept = localStorage.getItem(KEY);
  if (kept === 'day' || kept === 'evening') return kept;
  return matchMedia('(prefers-color-scheme: dark)').matches ? 'evening' : 'day';
};

export const showTheme = (theme: Theme): void => {
  document.documentElement.dataset['theme'] = theme;
};

export const keepTheme = (theme: Theme): void => {
  localStorage.setItem(KEY, theme);
  showTheme(theme);
};
