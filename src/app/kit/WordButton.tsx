import type { ComponentProps } from 'react';

/** A button that is a few words in a sentence or under a field. */
export function WordButton({ className, ...rest }: ComponentProps<'button'>) {
  return (
    <button
      type="button"
      {...rest}
      className={['cursor-pointer underline', className].filter(Boolean).join(' ')}
    />
  );
}
