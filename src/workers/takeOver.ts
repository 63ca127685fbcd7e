/** Said to a service worker that waits: the maker wants the new version. */
export const TAKE_OVER = 'take-over';
