import { nanoid } from '@reduxjs/toolkit';
import type { AppDispatch } from './store.ts';
import { toastShown } from './toastSlice.ts';

/** How what Escape took back is done again, by the name that its message knows it by: the newest few. */
const again = new Map<string, () => unknown>();
const MOST = 4;

/** Say that typing was taken back, and offer to bring it again. */
export const tellTakenBack =
  (redo: () => unknown) =>
  (dispatch: AppDispatch): void => {
    const id = nanoid();
    again.set(id, redo);
    for (const old of [...again.keys()].slice(0, -MOST)) again.delete(old);
    dispatch(toastShown({ text: 'What was typed there is taken back.', tone: 'plain', again: id }));
  };

export function bringBack(id: string): void {
  again.get(id)?.();
  again.delete(id);
}
