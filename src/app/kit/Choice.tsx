import { useId } from 'react';

interface ChoiceProps<T extends string> {
  readonly legend: string;
  readonly value: T;
  readonly options: readonly { readonly value: T; readonly label: string }[];
  readonly onChoose: (value: T) => void;
  readonly hideLegend?: boolean;
}

/** One of a few, side by side: a row of radio buttons that look like one strip. */
export function Choice<T extends string>({ legend, value, options, onChoose, hideLegend }: ChoiceProps<T>) {
  const name = useId();
  return (
    <fieldset className="grid gap-1">
      <legend className={hideLegend ? 'sr-only' : 'quiet mb-1 text-sm'}>{legend}</legend>
      <div className="flex overflow-hidden rounded-field border border-base-300">
        {options.map((option) => (
          <label
            key={option.value}
            className="relative flex-1 cursor-pointer border-l border-base-300 bg-base-100 px-2 py-1.5 text-center text-sm first:border-l-0 has-checked:bg-primary has-checked:text-primary-content has-focus-visible:outline-2 has-focus-visible:-outline-offset-4 has-focus-visible:outline-accent"
          >
            <input
              type="radio"
              className="sr-only"
              name={name}
              checked={option.value === value}
              onChange={() => onChoose(option.value)}
            />
            {option.label}
          </label>
        ))}
      </div>
    </fieldset>
  );
}
