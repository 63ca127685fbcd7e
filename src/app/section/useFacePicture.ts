import { useEffect, useId, useState } from 'react';
import type { FramedFace } from '../../core/face/framed.ts';
import type { Raster } from '../../core/face/raster.ts';
import { patternClient } from './patternClient.ts';

interface Wanted {
  readonly face: FramedFace;
  readonly width: number;
  readonly height: number;
  readonly samples?: number;
}

const same = (a: Wanted | undefined, b: Wanted): boolean =>
  a?.face === b.face && a.width === b.width && a.height === b.height;

/** Worked out in this thread where no worker can be had. */
async function here(wanted: Wanted): Promise<Raster> {
  const [{ facePicture, noneReady }, { finish }] = await Promise.all([
    import('../../core/face/ready.ts'),
    import('../../core/task/task.ts'),
  ]);
  return finish(facePicture(noneReady(), wanted));
}

/** A picture under way. */
interface Drawn {
  readonly raster: Raster | undefined;
  /** how far a new one is, 0..1; undefined when it is there */
  readonly done: number | undefined;
}

/**
 * A face in pixels, simulated apart from the page: the last one until a new one is there, coarse and then
 * sharp. A newer request takes the place of one that is under way; nothing is done for one that was never on
 * the screen. `face` must be the same object for the same face.
 */
export function useFacePicture(
  face: FramedFace,
  width: number,
  height: number,
  seen: boolean,
  samples?: number,
): Drawn {
  const key = useId();
  const [drawn, setDrawn] = useState<Drawn & { readonly of?: Wanted }>({ raster: undefined, done: 0 });
  useEffect(() => {
    if (!seen) return;
    let gone = false;
    const wanted = { face, width, height, ...(samples === undefined ? {} : { samples }) };
    const job = patternClient.ask('face', wanted, {
      key,
      onProgress: ({ done, partial }) => {
        if (!gone) setDrawn((now) => ({ raster: partial ?? now.raster, done, of: wanted }));
      },
    });
    const get = async (): Promise<void> => {
      const outcome = await job.outcome;
      if (outcome.kind === 'cancelled' || gone) return;
      const raster = outcome.kind === 'done' ? outcome.value : await here(wanted);
      setDrawn({ raster, done: undefined, of: wanted });
    };
    get().catch(() => {
      // the last good picture stays
      if (!gone) setDrawn((now) => ({ ...now, done: undefined, of: wanted }));
    });
    return () => {
      gone = true;
      job.stop();
    };
  }, [face, width, height, key, seen, samples]);
  return same(drawn.of, { face, width, height }) ? drawn : { ...drawn, done: 0 };
}
