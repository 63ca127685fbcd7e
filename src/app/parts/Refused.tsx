/** What was not done, and why, under what asked for it; nothing where all was. */
export function Refused({ why }: { readonly why: string | null }) {
  return (
    why !== null && (
      <p role="alert" className="text-sm text-error">
        {why}
      </p>
    )
  );
}
