import { writeFileSync } from 'node:fs';
import { SCHEMAS } from './schemaText.ts';

for (const [name, text] of Object.entries(SCHEMAS)) writeFileSync(`docs/${name}`, text);
