import { browserStorage } from './browserStorage.ts';

const KEY = 'drip-line/introduced';

/** Whether the workbench has explained itself in this browser. Asked for before anything is drawn. */
export const wasIntroduced = (): boolean => browserStorage()?.getItem(KEY) === 'yes';

export const keepIntroduced = (): void => {
  try {
    browserStorage()?.setItem(KEY, 'yes');
  } catch {
    // no room: it is for this page, then
  }
};
