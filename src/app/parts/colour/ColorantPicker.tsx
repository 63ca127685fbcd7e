import { useMemo } from 'react';
import type { Colorant } from '../../../core/colorant/schema.ts';
import { useColorants } from './useLibrary.ts';

interface ColorantPickerProps {
  readonly label: string;
  /** those that are there already are not offered */
  readonly without?: readonly string[];
  readonly onPick: (colorant: Colorant) => void;
  /** offered too: one that is not in the library, by its name alone */
  readonly onOther?: () => void;
  readonly className?: string;
}

const OTHER = 'another';

/** Choose a colorant of the library: a list that goes back to its label once something is chosen. */
export function ColorantPicker({ label, without = [], onPick, onOther, className }: ColorantPickerProps) {
  const all = useColorants();
  const left = without.join(' ');
  // the same elements while the library and what is left out stay the same: this list stands on pages that
  // follow a drag
  const options = useMemo(() => {
    const out = new Set(left.split(' '));
    return all
      .filter((c) => !out.has(c.id))
      .map((c) => (
        <option key={c.id} value={c.id}>
          {c.name}
        </option>
      ));
  }, [all, left]);
  return (
    <select
      className={`field h-8 text-sm ${className ?? 'w-48'}`}
      aria-label={label}
      value=""
      onChange={(event) => {
        const chosen = all.find((c) => c.id === event.target.value);
        if (chosen) onPick(chosen);
        else if (event.target.value === OTHER) onOther?.();
      }}
    >
      <option value="">{label}</option>
      {options}
      {onOther && <option value={OTHER}>another, by name</option>}
    </select>
  );
}
