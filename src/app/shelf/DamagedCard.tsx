import { DamagedActions, damagedIn } from '../parts/Damaged.tsx';

/** A plan whose record cannot be read: it stands on the shelf as what it is, among the others. */
export function DamagedCard({ id, name }: { readonly id: string; readonly name: string }) {
  return (
    <article className="grid gap-2" aria-label={`${name}, damaged`}>
      <div className="grid h-44 items-end justify-items-center border-b-[5px] border-(--wood-line)">
        <svg width="170" height="120" viewBox="0 0 170 120" aria-hidden="true">
          <path
            d="M14 8V112H156V8M60 112L78 70L66 48L92 10"
            fill="none"
            stroke="var(--color-error)"
            strokeWidth="4"
            strokeDasharray="7 6"
          />
        </svg>
      </div>
      <div className="grid gap-1 px-3">
        <h2 className="truncate text-base">{name}</h2>
        <p className="text-sm text-error">damaged as it is stored</p>
        <DamagedActions name={name} {...damagedIn('plans', id)} />
      </div>
    </article>
  );
}
