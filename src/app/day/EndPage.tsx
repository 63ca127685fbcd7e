import { AllDone } from './AllDone.tsx';

/** The batch is ended before its last act, or after it. */
export function EndPage() {
  return <AllDone onBack={undefined} />;
}
