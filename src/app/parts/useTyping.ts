import { useRef, useState, type ChangeEvent, type KeyboardEvent } from 'react';
import type { Fault } from '../../core/result/result.ts';
import { Gesture } from '../../store/gesture.ts';

interface Typing {
  /** the value as it is, while nothing is being typed */
  readonly shown: string;
  /** take what is typed, starting from how things were when the gesture began; a fault says why it is refused */
  readonly take: (text: string, gesture: Gesture) => Fault | undefined;
  /** a half-typed figure is no fault yet; an empty name is */
  readonly complain: 'at once' | 'when left';
  /** Enter ends a line; in a text of several lines it does not */
  readonly lines?: 'one' | 'several';
}

interface TypedField {
  readonly value: string;
  readonly onFocus: () => void;
  readonly onChange: (event: ChangeEvent<HTMLInputElement | HTMLTextAreaElement>) => void;
  readonly onBlur: () => void;
  readonly onKeyDown: (event: KeyboardEvent) => void;
}

/**
 * One visit to a field, from focus to blur or Enter, is one gesture: every keystroke that reads well is applied to how things were
 * when the visit began, shows at once, and undoes as one. What is refused or unfinished leaves everything as it was and stays in
 * the field with its reason; Escape brings back what was there. A field that goes away in mid-visit keeps what it had taken.
 */
export function useTyping({ shown, take, complain, lines = 'one' }: Typing): {
  readonly field: TypedField;
  readonly fault: string | null;
} {
  const [text, setText] = useState<string | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  /** what was shown when a refused text was left in the field; null while it is visited */
  const [left, setLeft] = useState<string | null>(null);
  const gesture = useRef<Gesture | null>(null);

  const attempt = (typed: string): Fault | undefined => {
    gesture.current ??= new Gesture();
    const refused = take(typed, gesture.current);
    if (refused) gesture.current.takeBack();
    return refused;
  };
  const leave = (): void => {
    if (text !== null) {
      const refused = attempt(text);
      setFault(refused?.message ?? null);
      if (refused) setLeft(shown);
      else setText(null);
    }
    gesture.current = null;
  };
  // what was refused belongs to how things were then: once they change, the field shows how they are
  const over = left !== null && left !== shown;
  return {
    fault: over ? null : fault,
    field: {
      value: over ? shown : (text ?? shown),
      onFocus: () => {
        gesture.current = new Gesture();
        setLeft(null);
        if (over) setText(null);
        if (over) setFault(null);
      },
      onChange: (event) => {
        const typed = event.target.value;
        setText(typed);
        const refused = attempt(typed);
        setFault(complain === 'at once' ? (refused?.message ?? null) : null);
      },
      onBlur: leave,
      onKeyDown: (event) => {
        if (event.key === 'Enter' && lines === 'one') leave();
        if (event.key !== 'Escape' || text === null) return;
        gesture.current?.takeBack();
        gesture.current = new Gesture();
        setText(null);
        setFault(null);
      },
    },
  };
}
