import type { LucideIcon } from 'lucide-react';
import type { ComponentProps } from 'react';
import { Button } from './Button.tsx';

interface IconButtonProps extends Omit<ComponentProps<typeof Button>, 'icon' | 'children' | 'aria-label'> {
  readonly icon: LucideIcon;
  /** what it does: it has no other words */
  readonly label: string;
}

/** A button that is only a small drawing: quiet, and named for those who do not see it. */
export function IconButton({ icon: Icon, label, className = '', ...rest }: IconButtonProps) {
  return (
    <Button tone="quiet" {...rest} aria-label={label} className={`px-1.5 ${className}`.trim()}>
      <Icon className="size-4.5" aria-hidden="true" />
    </Button>
  );
}
