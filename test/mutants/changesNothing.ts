/** Faults that were planted, that change nothing that can be noticed, each with the reason. */
export const CHANGES_NOTHING: Readonly<Record<string, string>> = {};
