import { X } from 'lucide-react';
import type { ReactNode } from 'react';
import { IconButton } from './IconButton.tsx';

interface PanelHeadProps {
  /** stands before its words: the pot that it is about */
  readonly badge?: ReactNode;
  /** what kind of thing it is, small, over its name */
  readonly over: string;
  readonly title: string;
  /** what the way out is called */
  readonly closes: string;
  readonly onClose: () => unknown;
}

/** The head of a panel: what is worked on, and the way out. */
export function PanelHead({ badge, over, title, closes, onClose }: PanelHeadProps) {
  return (
    <div className="flex items-center gap-3">
      {badge}
      <div className="min-w-0 flex-1">
        <p className="quiet text-sm">{over}</p>
        <h3 className="text-lg leading-tight">{title}</h3>
      </div>
      <IconButton icon={X} label={closes} onClick={onClose} />
    </div>
  );
}
