import { everyView } from './support/everyView.ts';

// what axe-core looks at is there as on a phone, only larger: there it is asked
everyView('a tablet held upright', { width: 820, height: 1180 }, 0);
