import { Moon, Sun } from 'lucide-react';
import { useState } from 'react';
import { keepTheme, readTheme } from '../../store/theme.ts';
import { Button } from '../kit/Button.tsx';

/** Daylight or evening. */
export function ThemeButton() {
  const [theme, setTheme] = useState(readTheme);
  const other = theme === 'day' ? 'evening' : 'day';
  const label = other === 'evening' ? 'Evening colours' : 'Daylight colours';
  return (
    <Button
      tone="quiet"
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
    </Button>
  );
}
