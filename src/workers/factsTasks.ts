import { cardFacts } from '../core/sheet/cardFacts.ts';

export const FACTS_TASKS = { 'card-facts': cardFacts };
export type FactsTasks = typeof FACTS_TASKS;
