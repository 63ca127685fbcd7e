import { MessageSquareText, Volume2, VolumeX } from 'lucide-react';
import { useState } from 'react';
import { keepHeard, readHeard, type Heard } from '../../store/heard.ts';
import { IconButton } from '../kit/IconButton.tsx';
import { canSpeak } from './hear.ts';

const SHOWN: Readonly<Record<Heard, { readonly icon: typeof Volume2; readonly label: string }>> = {
  silent: { icon: VolumeX, label: 'Silent: press for sounds' },
  sound: { icon: Volume2, label: 'Sounds: press to hear the acts spoken, or nothing' },
  speech: { icon: MessageSquareText, label: 'Spoken, by a voice of this machine: press for silence' },
};

const next = (heard: Heard): Heard =>
  heard === 'silent' ? 'sound' : heard === 'sound' && canSpeak() ? 'speech' : 'silent';

/** Silent, with sounds, or spoken: everything that is heard is seen as well. */
export function SoundButton() {
  const [heard, setHeard] = useState(readHeard);
  const { icon, label } = SHOWN[heard];
  return (
    <IconButton
      icon={icon}
      label={label}
      title={label}
      onClick={() => {
        const to = next(heard);
        keepHeard(to);
        setHeard(to);
      }}
    />
  );
}
