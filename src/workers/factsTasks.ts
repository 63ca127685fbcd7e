import { picture } from '../core/face/picture.ts';
import { matchPots } from '../core/look/matchPots.ts';
import { cardFacts } from '../core/computed/cardFacts.ts';

export const FACTS_TASKS = { picture, 'card-facts': cardFacts, colours: matchPots };
export type FactsTasks = typeof FACTS_TASKS;
