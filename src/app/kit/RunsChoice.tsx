import type { Runs } from '../../core/mould/runs.ts';
import { Choice } from './Choice.tsx';

interface RunsChoiceProps {
  readonly legend: string;
  readonly hideLegend?: boolean;
  readonly value: Runs;
  readonly onChoose: (runs: Runs) => unknown;
}

const OPTIONS = [
  { value: 'lengthwise', label: 'end to end' },
  { value: 'crosswise', label: 'side to side' },
] as const;

/** Which way something lies in the mould. */
export function RunsChoice(props: RunsChoiceProps) {
  return <Choice {...props} options={OPTIONS} />;
}
