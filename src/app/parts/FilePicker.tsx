import { useRef, type ReactNode } from 'react';

interface FilePickerProps {
  /** what the file is: the name of the hidden input */
  readonly label: string;
  readonly accept: string;
  readonly onFile: (file: File) => void;
  readonly className?: string;
  readonly children: ReactNode;
}

/** A button that asks for a file. The same file can be chosen twice running. */
export function FilePicker({ label, accept, onFile, className = 'btn btn-sm', children }: FilePickerProps) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <>
      <button type="button" className={className} onClick={() => input.current?.click()}>
        {children}
      </button>
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
