import { useEffect, useRef, type ComponentProps } from 'react';
import { selectBehind } from '../../store/computed.ts';
import { useAppSelector } from '../../store/store.ts';
import { Button } from '../kit/Button.tsx';

interface ButtonOfNowProps extends Omit<ComponentProps<typeof Button>, 'onClick'> {
  readonly onPress: () => void;
}

/**
 * A button that puts what is seen on paper, in a file or on the shelf. Pressed while that is older than the
 * plan, it does so once it is worked out. Only inside the workbench.
 */
export function ButtonOfNow({ onPress, ...rest }: ButtonOfNowProps) {
  const behind = useAppSelector(selectBehind);
  const pressed = useRef(false);
  useEffect(() => {
    if (behind || !pressed.current) return;
    pressed.current = false;
    onPress();
  });
  const press = (): void => {
    if (behind) pressed.current = true;
    else onPress();
  };
  return <Button {...rest} onClick={press} />;
}
