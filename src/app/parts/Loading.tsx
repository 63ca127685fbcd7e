export const Loading = ({ says = 'Opening…' }: { readonly says?: string }) => (
  <p className="quiet grid min-h-40 place-items-center" role="status">
    {says}
  </p>
);
