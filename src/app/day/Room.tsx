import { useEffect, useState } from 'react';
import { Link, Outlet, useParams } from 'react-router';
import { bookKeeper } from '../../store/keeping/books.ts';
import { followBatch, openBatch, type BatchOpening } from '../../store/day.ts';
import { TROUBLE_WORDS } from '../../store/keeping/trouble.ts';
import { planClosed } from '../../store/planSlice.ts';
import { useAppDispatch, useAppSelector } from '../../store/store.ts';
import { Boundary } from '../parts/Boundary.tsx';
import { Loading } from '../parts/Loading.tsx';
import { DayHead } from './DayHead.tsx';
import { DayProvider } from './DayProvider.tsx';
import { Pulse } from './Pulse.tsx';
import { Watching } from './Watching.tsx';

type NotOpened = Exclude<BatchOpening, { readonly kind: 'open' }>;

const WHY: Readonly<Record<Exclude<NotOpened['kind'], 'trouble'>, string>> = {
  missing:
    'This batch is not kept in this browser. A batch of another device comes here as its file: take it in on the shelf.',
  damaged: 'This batch cannot be read as it is stored. “What is kept” has it, to be exported as it is.',
};

function NotThere({ why }: { readonly why: NotOpened }) {
  return (
    <main className="mx-auto grid max-w-xl content-start gap-4 p-10">
      <h1 className="text-2xl">There is no such batch to show</h1>
      <p>{why.kind === 'trouble' ? TROUBLE_WORDS[why.trouble] : WHY[why.kind]}</p>
      <p className="flex gap-2">
        <Link className="btn" to="/">
          To the shelf
        </Link>
        <Link className="btn" to="/kept">
          What is kept
        </Link>
      </p>
    </main>
  );
}

/**
 * Pour day: the room of one batch. Its plan is as it was when the batch was begun, and is not edited here.
 */
export function Room() {
  const { batchId = '' } = useParams();
  const dispatch = useAppDispatch();
  const open = useAppSelector((s) => s.batch.batch?.id === batchId && s.plan.frozen);
  const attempt = useAppSelector((s) => s.keeping.attempt);
  const [opening, setOpening] = useState<BatchOpening>();
  useEffect(() => {
    if (open) return undefined;
    let gone = false;
    void dispatch(openBatch(batchId)).then((found) => {
      if (!gone) setOpening(found);
    });
    return () => {
      gone = true;
    };
    // storage that answers again is asked again; what is open stays as it is
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [dispatch, batchId, attempt]);
  useEffect(() => (open ? dispatch(followBatch(batchId)) : undefined), [dispatch, batchId, open, attempt]);
  useEffect(
    () => () => {
      void bookKeeper.flush();
      dispatch(planClosed());
    },
    [dispatch, batchId],
  );
  if (!open) return opening && opening.kind !== 'open' ? <NotThere why={opening} /> : <Loading />;
  return (
    <Boundary what="This batch" of={[batchId]}>
      <DayProvider>
        <Pulse />
        <div className="flex min-h-0 flex-1 flex-col bg-base-100 print:block">
          <DayHead />
          <Watching />
          <Outlet />
        </div>
      </DayProvider>
    </Boundary>
  );
}
