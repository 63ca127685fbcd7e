interface FindProps {
  /** what is found, to those who hear the page */
  readonly label: string;
  readonly placeholder?: string;
  readonly value: string;
  readonly onFind: (text: string) => void;
  readonly className: string;
}

/** A field that finds something in a list as it is typed in. */
export function Find({ label, placeholder = label, value, onFind, className }: FindProps) {
  return (
    <input
      className={`field ${className}`}
      type="search"
      placeholder={placeholder}
      aria-label={label}
      value={value}
      onChange={(event) => onFind(event.target.value)}
    />
  );
}
