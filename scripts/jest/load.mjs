/** What Node needs to run tests as plain modules. */
import { register } from 'node:module';

// A fault is told by the line that was written, not by the one that runs.
process.setSourceMapsEnabled(true);
register('./typescript.mjs', import.meta.url);
