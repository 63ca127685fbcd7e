import { Moon, Sun } from 'lucide-react';
import { useState } from 'react';
import { keepTheme, readTheme } from '../../store/theme.ts';

/** Daylight or evening. */
export function ThemeButton() {
  const [theme, setTheme] = useState(readTheme);
  const other = theme === 'day' ? 'evening' : 'day';
  const label = other === 'evening' ? 'Evening colours' : 'Daylight colours';
  return (
    <button
      type="button"
      className="btn btn-ghost btn-sm"
      aria-label={label}
      title={label}
      onClick={() => {
        keepTheme(other);
        setTheme(other);
      }}
    >
      {other === 'evening' ? (
        <Moon className="size-4.5" aria-hidden="true" />
      ) : (
        <Sun className="size-4.5" aria-hidden="true" />
      )}
    </button>
  );
}
