import { picture } from '../core/face/picture.ts';
import { cardFacts } from '../core/computed/cardFacts.ts';

export const FACTS_TASKS = { picture, 'card-facts': cardFacts };
export type FactsTasks = typeof FACTS_TASKS;
