import { X } from 'lucide-react';
import { pourChosen } from '../../../../store/deskSlice.ts';
import { useAppDispatch } from '../../../../store/store.ts';

/** The head of a tool's panel: what it is, what it does, and the way out. */
export function ToolHead({ tool, does }: { readonly tool: string; readonly does: string }) {
  const dispatch = useAppDispatch();
  return (
    <div className="flex items-center gap-3">
      <div className="min-w-0 flex-1">
        <p className="quiet text-sm">The {tool}</p>
        <h3 className="text-lg leading-tight">{does}</h3>
      </div>
      <button
        type="button"
        className="btn btn-ghost btn-sm px-1.5"
        aria-label={`Close the ${tool}`}
        onClick={() => dispatch(pourChosen(null))}
      >
        <X className="size-4" aria-hidden="true" />
      </button>
    </div>
  );
}
