import { everyView } from './support/everyView.ts';

everyView('a 1280 x 800 window', { width: 1280, height: 800 }, 2);
