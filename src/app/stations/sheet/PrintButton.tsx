import { Printer } from 'lucide-react';
import { ButtonOfNow } from '../../parts/ButtonOfNow.tsx';

export function PrintButton() {
  return (
    <ButtonOfNow icon={Printer} size="full" className="no-print" onPress={() => print()}>
      Print
    </ButtonOfNow>
  );
}
