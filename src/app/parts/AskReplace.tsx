import { freeName } from '../../store/tables/plans.ts';
import { Button } from '../kit/Button.tsx';

interface AskReplaceProps {
  readonly name: string;
  /** names that are there */
  readonly taken: readonly string[];
  readonly onReplace: () => void;
  readonly onBeside: (name: string) => void;
  readonly onLeave: () => void;
}

/** Something of that name is there already: nothing is put over it unasked. */
export function AskReplace({ name, taken, onReplace, onBeside, onLeave }: AskReplaceProps) {
  const other = freeName(name, new Set(taken));
  return (
    <div role="alert" className="grid gap-2 border-l-4 border-warning bg-base-100 px-3 py-2 text-sm">
      <p>You have one called “{name}” already.</p>
      <p className="flex flex-wrap gap-2">
        <Button tone="primary" onClick={() => onBeside(other)}>
          Take it as “{other}”
        </Button>
        <Button onClick={onReplace}>Put it in place of mine</Button>
        <Button onClick={onLeave}>Leave it</Button>
      </p>
    </div>
  );
}
