import { config } from 'zod';

/**
 * The page's policy allows no code made of text. Zod would find that out by trying, for each page and worker, and the browser reports the attempt:
 * on a slow phone that costs a sixth of a second before the first view. Imported before anything that makes a schema.
 */
config({ jitless: true });
