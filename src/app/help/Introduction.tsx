import { X } from 'lucide-react';
import { introductionEnded } from '../../store/deskSlice.ts';
import { keepIntroduced } from '../../store/introduced.ts';
import { useAppDispatch, useAppSelector } from '../../store/store.ts';
import { PLACES, type HelpPlace } from './places.ts';
import { IconButton } from '../kit/IconButton.tsx';

interface IntroductionProps {
  readonly of: HelpPlace;
  readonly className?: string;
  /** where the window is small there is room for one alone */
  readonly small?: boolean;
}

/**
 * On a first visit, in its place: what a part of the workbench is. Closing one closes all; Help has them
 * again.
 */
export function Introduction({ of, className = '', small = false }: IntroductionProps) {
  const shown = useAppSelector((s) => s.desk.introduce);
  const dispatch = useAppDispatch();
  if (!shown) return null;
  const { name, says } = PLACES[of];
  return (
    <aside
      aria-label={`${name}, explained`}
      className={`no-print items-start gap-2 border-l-4 border-accent bg-base-100 py-2 pr-1 pl-3 text-sm leading-snug ${small ? 'flex bench:hidden' : 'hidden bench:flex'} ${className}`}
    >
      <p className="flex-1">
        <strong>{name}.</strong> {says}
      </p>
      <IconButton
        icon={X}
        size="tiny"
        label="Close the explanations"
        title="Close; Help has them again"
        onClick={() => {
          keepIntroduced();
          dispatch(introductionEnded());
        }}
      />
    </aside>
  );
}
