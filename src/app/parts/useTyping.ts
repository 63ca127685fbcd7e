import { useRef, useState, type ChangeEvent, type KeyboardEvent } from 'react';
import type { Fault } from '../../core/result/result.ts';
import { Gesture } from '../../store/gesture.ts';
import { useAppSelector } from '../../store/store.ts';

interface Typing {
  /** the value as it is, while nothing is being typed */
  readonly shown: string;
  /**
   * take what is typed, starting from how things were when the gesture began; a fault says why it is refused
   */
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

/** What is typed and not yet left, or was left refused. */
interface Typed {
  readonly text: string;
  readonly fault: string | null;
  /**
   * what the value was once this was taken or refused: it belongs to how things were then; undefined until
   * that is drawn
   */
  readonly then: string | undefined;
  /** how often the plan had been opened by then */
  readonly opened: number | null;
  /** it was refused, and the field left with it */
  readonly left: boolean;
}

/**
 * One visit to a field, from focus to blur or Enter, is one gesture: every keystroke that reads well is
 * applied to how things were when the visit began, shows at once, and undoes as one. What is refused or
 * unfinished leaves everything as it was and stays in the field with its reason; Escape brings back what was
 * there, and says so. Once somebody else changes the value (another tab), the field shows how it is now, and
 * what is typed on starts from there. A field that goes away in mid-visit keeps what it had taken.
 */
export function useTyping({ shown, take, complain, lines = 'one' }: Typing): {
  readonly field: TypedField;
  readonly fault: string | null;
  /** Escape has taken back what was typed: how it is brought again */
  readonly bringBack: (() => void) | undefined;
} {
  // what is computed from a plan may be drawn a moment after the key: only another's writing that was taken
  // over makes it foreign
  const opened = useAppSelector((s) => (s.plan.present ? s.plan.opened : null));
  const [typed, setTyped] = useState<Typed | null>(null);
  /** what Escape has taken back, until something is typed again */
  const [escaped, setEscaped] = useState<string | null>(null);
  /** counts how often the value was changed by others: a gesture does not go on over that */
  const [others, setOthers] = useState(0);
  const going = useRef<{ readonly others: number; readonly gesture: Gesture } | null>(null);

  const foreign = typed !== null && (typed.left || opened === null || opened !== typed.opened);
  if (typed !== null && typed.then === undefined) setTyped({ ...typed, then: shown });
  else if (foreign && typed.then !== shown) {
    setTyped(null);
    setOthers(others + 1);
  }

  const gestureNow = (): Gesture => {
    if (going.current?.others !== others) going.current = { others, gesture: new Gesture() };
    return going.current.gesture;
  };
  const attempt = (text: string): Fault | undefined => {
    const gesture = gestureNow();
    const refused = take(text, gesture);
    if (refused) gesture.takeBack();
    return refused;
  };
  const leave = (): void => {
    if (typed !== null) {
      const refused = attempt(typed.text);
      const { text } = typed;
      setTyped(refused ? { text, fault: refused.message, then: undefined, opened, left: true } : null);
    }
    going.current = null;
  };
  const escape = ({ text }: Typed): void => {
    const gesture = gestureNow();
    if (gesture.changed) setEscaped(text);
    gesture.takeBack();
    going.current = null;
    setTyped(null);
  };
  return {
    fault: typed?.fault ?? null,
    bringBack:
      escaped === null
        ? undefined
        : () => {
            take(escaped, new Gesture());
            setEscaped(null);
          },
    field: {
      value: typed?.text ?? shown,
      onFocus: () => {
        going.current = null;
        if (typed?.left) setTyped({ ...typed, left: false });
      },
      onChange: (event) => {
        const text = event.target.value;
        setEscaped(null);
        const refused = attempt(text);
        const fault = complain === 'at once' ? (refused?.message ?? null) : null;
        setTyped({ text, fault, then: undefined, opened, left: false });
      },
      onBlur: leave,
      onKeyDown: (event) => {
        if (event.key === 'Enter' && lines === 'one') leave();
        if (event.key !== 'Escape' || typed === null) return;
        // it is the typing that ends, not the dialog that the field stands in
        event.preventDefault();
        event.stopPropagation();
        escape(typed);
      },
    },
  };
}
