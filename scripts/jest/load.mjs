/** What Node needs to run tests as plain modules: TypeScript, and `@jest/globals` as what the runner has put among the globals. */
import { register } from 'node:module';
import { register as typescript } from 'tsx/esm/api';

typescript();
register('./resolve.mjs', import.meta.url);
