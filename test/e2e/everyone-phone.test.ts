import { everyView } from './support/everyView.ts';

everyView('a phone', { width: 390, height: 844 }, 1);
