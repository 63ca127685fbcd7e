import type { ReactNode } from 'react';
import { Link, useNavigate } from 'react-router';
import { ask } from '../../store/ask.ts';
import { rawRecord, setAside } from '../../store/tables/aside.ts';
import { askedAgain } from '../../store/keeping/keepingSlice.ts';
import { TROUBLE_WORDS } from '../../store/keeping/trouble.ts';
import type { Opening } from '../../store/openPlan.ts';
import { useAppDispatch } from '../../store/store.ts';
import { exportRaw } from '../parts/exportRaw.ts';
import { Button } from '../kit/Button.tsx';

interface NotOpenProps {
  readonly planId: string;
  readonly why: Exclude<Opening, { readonly kind: 'open' }>;
}

function Told({ title, children }: { readonly title: string; readonly children: ReactNode }) {
  return (
    <main className="mx-auto grid max-w-xl content-start gap-4 p-10">
      <h1 className="text-2xl">{title}</h1>
      {children}
    </main>
  );
}

/** A plan that could not be opened: why, and the ways on. */
export function NotOpen({ planId, why }: NotOpenProps) {
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const toShelf = (
    <Link className="btn justify-self-start" to="/">
      To the shelf
    </Link>
  );
  if (why.kind === 'missing')
    return (
      <Told title="This plan is not on the shelf">
        <p>It may have been deleted, or it was made in another browser.</p>
        {toShelf}
      </Told>
    );
  if (why.kind === 'trouble')
    return (
      <Told title="This plan cannot be read now">
        <p>{TROUBLE_WORDS[why.trouble]}</p>
        <p>It is tried again as soon as storage answers.</p>
        <p className="flex gap-2">
          <Button tone="primary" size="full" onClick={() => dispatch(askedAgain())}>
            Try again
          </Button>
          {toShelf}
        </p>
      </Told>
    );
  return (
    <Told title="This plan is damaged as it is stored">
      <p>It cannot be opened. It can be exported as it is, and set aside so that it is out of the way.</p>
      <ul className="list-disc pl-5 text-sm">
        {why.faults.slice(0, 6).map((f) => (
          <li key={`${f.at ?? ''} ${f.message}`}>
            {f.at ?? 'plan'}: {f.message}
          </li>
        ))}
      </ul>
      <p className="flex flex-wrap gap-2">
        <Button
          tone="primary"
          size="full"
          onClick={() =>
            void ask((db) => rawRecord(db, 'plans', planId)).then((record) => {
              exportRaw(planId, record);
            })
          }
        >
          Export as stored
        </Button>
        <Button
          size="full"
          onClick={() => void ask((db) => setAside(db, 'plans', planId)).then(() => navigate('/'))}
        >
          Set aside
        </Button>
        {toShelf}
      </p>
    </Told>
  );
}
