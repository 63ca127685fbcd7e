import { useRef, type ComponentProps } from 'react';
import { Button } from '../kit/Button.tsx';

interface FilePickerProps extends ComponentProps<typeof Button> {
  /** what the file is: the name of the hidden input */
  readonly label: string;
  readonly accept: string;
  readonly onFile: (file: File) => void;
}

/** A button that asks for a file. The same file can be chosen twice running. */
export function FilePicker({ label, accept, onFile, ...button }: FilePickerProps) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <>
      <Button {...button} onClick={() => input.current?.click()} />
      <input
        ref={input}
        type="file"
        hidden
        accept={accept}
        aria-label={label}
        onChange={(event) => {
          const file = event.target.files?.[0];
          event.target.value = '';
          if (file) onFile(file);
        }}
      />
    </>
  );
}
