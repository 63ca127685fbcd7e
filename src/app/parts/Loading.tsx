export function Loading() {
  return (
    <p className="quiet grid min-h-40 place-items-center" role="status">
      Opening…
    </p>
  );
}
