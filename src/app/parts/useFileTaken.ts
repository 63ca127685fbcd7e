import { useState } from 'react';
import type { Result } from '../../core/result/result.ts';
import { readText } from './readText.ts';

interface FileTaken {
  /** why the last file was not taken */
  readonly refused: string | null;
  readonly bring: (file: File) => void;
}

/** A chosen file: what it holds is handed on, and a fault of it is said with its place. */
export function useFileTaken<T>(
  read: (text: string) => Result<T>,
  take: (value: T, fileName: string) => unknown,
): FileTaken {
  const [refused, setRefused] = useState<string | null>(null);
  const bring = async (file: File): Promise<void> => {
    const text = await readText(file);
    const found = text.ok ? read(text.value) : text;
    if (found.ok) {
      setRefused(null);
      take(found.value, file.name);
    } else
      setRefused(
        `“${file.name}” was not taken, nothing has changed. ${found.fault.at ?? 'file'}: ${found.fault.message}`,
      );
  };
  return { refused, bring: (file) => void bring(file) };
}
