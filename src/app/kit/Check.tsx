import type { ReactNode } from 'react';

interface CheckProps {
  readonly checked: boolean;
  readonly onCheck: (checked: boolean) => unknown;
  readonly className?: string;
  /** what is so when it is ticked */
  readonly children: ReactNode;
}

/** Something that is so or not. */
export function Check({ checked, onCheck, className = '', children }: CheckProps) {
  return (
    <label className={`flex cursor-pointer items-center gap-2 text-sm ${className}`.trimEnd()}>
      <input
        type="checkbox"
        className="size-4.5 accent-(--color-primary)"
        checked={checked}
        onChange={(event) => onCheck(event.target.checked)}
      />
      {children}
    </label>
  );
}
