import { X } from 'lucide-react';
import { pourChosen } from '../../../../store/deskSlice.ts';
import { useAppDispatch } from '../../../../store/store.ts';
import { IconButton } from '../../../kit/IconButton.tsx';

/** The head of a tool's panel: what it is, what it does, and the way out. */
export function ToolHead({ tool, does }: { readonly tool: string; readonly does: string }) {
  const dispatch = useAppDispatch();
  return (
    <div className="flex items-center gap-3">
      <div className="min-w-0 flex-1">
        <p className="quiet text-sm">The {tool}</p>
        <h3 className="text-lg leading-tight">{does}</h3>
      </div>
      <IconButton icon={X} label={`Close the ${tool}`} onClick={() => dispatch(pourChosen(null))} />
    </div>
  );
}
