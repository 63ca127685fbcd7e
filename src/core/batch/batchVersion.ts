export const BATCH_FORMAT = 'drip-line/batch';
export const BATCH_VERSION = 2;
