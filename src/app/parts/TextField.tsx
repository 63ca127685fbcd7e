import { useId } from 'react';
import { cleanLine, cleanText } from '../../core/validate/cleanText.ts';
import { FieldFrame } from './FieldFrame.tsx';
import type { Fault } from '../../core/result/result.ts';
import type { Gesture } from '../../store/gesture.ts';
import { useTyping } from './useTyping.ts';

interface TextFieldProps {
  readonly label: string;
  readonly value: string;
  readonly onValue: (value: string, gesture: Gesture) => Fault | undefined;
  readonly hideLabel?: boolean;
  readonly className?: string;
  readonly inputClass?: string;
  /** several lines, at most so many characters */
  readonly long?: { readonly most: number; readonly example?: string };
}

/** Text, applied as it is typed; what is refused (an empty name) stays in the field with its reason. */
export function TextField(props: TextFieldProps) {
  const { label, value, onValue, hideLabel, className, inputClass = '', long } = props;
  const id = useId();
  const clean = long ? cleanText : cleanLine;
  const { field, fault, bringBack } = useTyping({
    shown: value,
    take: (text, gesture) => onValue(clean(text), gesture),
    complain: 'at once',
    lines: long ? 'several' : 'one',
  });
  const about = {
    id,
    autoComplete: 'off',
    'aria-invalid': fault !== null,
    'aria-describedby': fault === null ? undefined : `${id}-say`,
  };
  return (
    <FieldFrame {...{ id, label, hideLabel, className, fault, bringBack }}>
      {long ? (
        <textarea
          {...about}
          {...field}
          className={`field py-2 ${inputClass === '' ? 'h-24' : inputClass}`}
          maxLength={long.most}
          placeholder={long.example}
        />
      ) : (
        <input {...about} {...field} className={`field ${inputClass}`} />
      )}
    </FieldFrame>
  );
}
