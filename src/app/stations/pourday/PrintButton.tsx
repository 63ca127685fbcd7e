import { Printer } from 'lucide-react';
import { selectBehind } from '../../../store/computed.ts';
import { useAppSelector } from '../../../store/store.ts';
import { Button } from '../../kit/Button.tsx';

/** What is older than the plan is not put on paper. */
export function PrintButton() {
  const behind = useAppSelector(selectBehind);
  return (
    <Button icon={Printer} size="full" className="no-print" disabled={behind} onClick={() => print()}>
      Print
    </Button>
  );
}
