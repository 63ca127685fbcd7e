import type { LucideIcon } from 'lucide-react';
import type { ComponentProps } from 'react';

/** What is only a drawing is large enough for a thumb where a thumb may press it. */
const THUMB = 'max-bench:min-h-11 max-bench:min-w-11';

const TONES = {
  plain: '',
  primary: 'btn-primary',
  accent: 'btn-accent',
  quiet: `btn-ghost ${THUMB}`,
} as const;
const SIZES = { tiny: 'btn-xs', small: 'btn-sm', full: '' } as const;

interface ButtonProps extends ComponentProps<'button'> {
  readonly tone?: keyof typeof TONES;
  readonly size?: keyof typeof SIZES;
  /** stands before its words */
  readonly icon?: LucideIcon;
}

/** A button with words. It does what it is told to, and sends a form only where its type says so. */
export function Button(props: ButtonProps) {
  const { tone = 'plain', size = 'small', icon: Icon, className, children, ...rest } = props;
  return (
    <button
      type="button"
      {...rest}
      className={['btn', SIZES[size], TONES[tone], className].filter(Boolean).join(' ')}
    >
      {Icon && <Icon className="size-4" aria-hidden="true" />}
      {children}
    </button>
  );
}
