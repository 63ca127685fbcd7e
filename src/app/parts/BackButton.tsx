import { ChevronLeft } from 'lucide-react';
import { useNavigate } from 'react-router';
import { Button } from '../kit/Button.tsx';

/** Back to where a library was opened from: a plan, or, where it was opened by its address, the shelf. */
export function BackButton() {
  const navigate = useNavigate();
  return (
    <Button
      icon={ChevronLeft}
      tone="quiet"
      className="gap-1 px-2"
      onClick={() => {
        if (history.length > 1) void navigate(-1);
        else void navigate('/');
      }}
    >
      Back
    </Button>
  );
}
