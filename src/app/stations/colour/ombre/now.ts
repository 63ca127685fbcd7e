/** This moment, as a batch's book is dated. */
export const now = (): string => new Date().toISOString();
