import { Printer } from 'lucide-react';
import { Button } from '../../kit/Button.tsx';

export function PrintButton() {
  return (
    <Button icon={Printer} size="full" className="no-print" onClick={() => print()}>
      Print
    </Button>
  );
}
