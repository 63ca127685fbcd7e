import { pourChosen } from '../../../../store/deskSlice.ts';
import { useAppDispatch } from '../../../../store/store.ts';
import { PanelHead } from '../../../kit/PanelHead.tsx';

/** The head of a tool's panel: what it is, what it does, and the way out. */
export function ToolHead({ tool, does }: { readonly tool: string; readonly does: string }) {
  const dispatch = useAppDispatch();
  return (
    <PanelHead
      over={`The ${tool}`}
      title={does}
      closes={`Close the ${tool}`}
      onClose={() => dispatch(pourChosen(null))}
    />
  );
}
