import type { ShelfRead } from '../../core/exchange/shelfFile.ts';
import type { FaultCode } from '../../core/result/codes.ts';
import { createClient } from '../../workers/jobs/client.ts';
import type { ReaderTasks } from '../../workers/readerTasks.ts';
import { inWorker } from '../parts/inWorker.ts';

/** A file that takes longer than this is not one of ours, ms. */
const LONGEST_MS = 20_000;

const reader = createClient<ReaderTasks>(
  inWorker(
    () => new Worker(new URL('../../workers/reader.worker.ts', import.meta.url), { type: 'module' }),
    async () => (await import('../../workers/readerTasks.ts')).READER_TASKS,
  ),
);

const refused = (code: FaultCode, message: string): ShelfRead => ({
  ok: false,
  faults: [{ code, message, at: 'file' }],
});

/**
 * Read the text of a plan file or a batch file in a worker. A worker that fails or takes too long is a
 * refusal like any other.
 */
export async function readShelfText(text: string): Promise<ShelfRead> {
  const tooLong = `it could not be read within ${LONGEST_MS / 1000} s`;
  const timer = setTimeout(() => {
    reader.giveUp(tooLong);
  }, LONGEST_MS);
  const outcome = await reader.ask('read-file', text).outcome;
  clearTimeout(timer);
  if (outcome.kind === 'done') return outcome.value;
  return outcome.kind === 'failed' && outcome.message === tooLong
    ? refused('too-long', tooLong)
    : refused('reader-failed', 'it could not be read: the reader of files stopped');
}
