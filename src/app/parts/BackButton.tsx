import { ChevronLeft } from 'lucide-react';
import { useNavigate } from 'react-router';

/** Back to where a library was opened from: a plan, or, where it was opened by its address, the shelf. */
export function BackButton() {
  const navigate = useNavigate();
  return (
    <button
      type="button"
      className="btn btn-ghost btn-sm gap-1 px-2"
      onClick={() => {
        if (history.length > 1) void navigate(-1);
        else void navigate('/');
      }}
    >
      <ChevronLeft className="size-4" aria-hidden="true" />
      Back
    </button>
  );
}
