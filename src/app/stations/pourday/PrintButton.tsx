import { Printer } from 'lucide-react';

export function PrintButton() {
  return (
    <button
      type="button"
      className="btn no-print"
      onClick={() => {
        print();
      }}
    >
      <Printer className="size-4.5" aria-hidden="true" />
      Print
    </button>
  );
}
