import { v5 } from 'uuid';

/** What ids that are made of a plan's are made in; drawn once, by chance. */
const NAMESPACE = '5b0c6c1e-6f0a-4a57-9c0e-2d1d3b7c9a44';

/** The id of a plan's first batch: two pages that begin it at once begin one. */
export const firstBatchId = (planId: string): string => v5(planId, NAMESPACE);

/** The id of an entry that was made before events had ids: the same wherever it is read. */
export const idOfContent = (content: unknown): string => v5(JSON.stringify(content), NAMESPACE);
