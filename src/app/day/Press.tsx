import type { ComponentProps } from 'react';
import { Button } from '../kit/Button.tsx';

/** A button for a gloved finger: 56 px high and more, told from what is round it. */
export function Press({ className = '', ...rest }: ComponentProps<typeof Button>) {
  return (
    <Button
      size="full"
      {...rest}
      className={`min-h-14 min-w-14 border-base-content/35 ${className}`.trim()}
    />
  );
}
