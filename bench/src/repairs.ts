/** Every repair that the program knows, as a page of the docs. npm run repairs */
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { repairsPage } from './repairsPage.js';

const file = join(import.meta.dirname, '../../docs/repairs.md');
writeFileSync(file, await repairsPage());
console.log(file);
