import { ReadyList } from './ReadyList.tsx';

/** What was laid out, and what was passed over. */
export function LaidPage() {
  return <ReadyList />;
}
