export type StationState = 'settled' | 'estimated' | 'care' | 'trouble';

const WORDS: Readonly<Record<StationState, string>> = {
  settled: 'settled',
  estimated: 'something to look at',
  care: 'take care',
  trouble: 'refused until put right',
};

/**
 * How a station stands, told by shape as well as colour: filled round, dashed round, diamond, filled diamond.
 */
export function StateMark({ state }: { readonly state: StationState }) {
  return (
    <svg width="18" height="18" viewBox="-9 -9 18 18" role="img" aria-label={WORDS[state]}>
      {state === 'settled' && <circle r="6.5" fill="var(--color-success)" />}
      {state === 'estimated' && (
        <circle r="6" fill="none" stroke="var(--color-secondary)" strokeWidth="2" strokeDasharray="3.2 2.4" />
      )}
      {state === 'care' && (
        <rect x="-5.5" y="-5.5" width="11" height="11" transform="rotate(45)" fill="var(--color-warning)" />
      )}
      {state === 'trouble' && (
        <>
          <rect x="-6" y="-6" width="12" height="12" transform="rotate(45)" fill="var(--color-error)" />
          <path
            d="M-2.6-2.6L2.6 2.6M2.6-2.6L-2.6 2.6"
            stroke="var(--color-error-content)"
            strokeWidth="1.8"
          />
        </>
      )}
    </svg>
  );
}
