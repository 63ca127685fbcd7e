import { useEffect } from 'react';
import { redone, undone } from '../../store/planSlice.ts';
import { useAppDispatch } from '../../store/store.ts';

/** Ctrl/Cmd+Z undoes, with Shift (or Ctrl+Y) redoes, from anywhere in the plan. */
export function useShortcuts(): void {
  const dispatch = useAppDispatch();
  useEffect(() => {
    const key = (event: KeyboardEvent): void => {
      if (!(event.ctrlKey || event.metaKey) || event.altKey) return;
      const letter = event.key.toLowerCase();
      if (letter !== 'z' && letter !== 'y') return;
      event.preventDefault();
      // what is being typed is already applied: leave the field so that it shows the plan's value again
      if (document.activeElement instanceof HTMLInputElement) document.activeElement.blur();
      dispatch(letter === 'y' || event.shiftKey ? redone() : undone());
    };
    addEventListener('keydown', key);
    return () => {
      removeEventListener('keydown', key);
    };
  }, [dispatch]);
}
