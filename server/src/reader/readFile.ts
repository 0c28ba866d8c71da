import { readGarageFile } from '@necessaire/core';

/** Runs in a thread of its own: a file's text in, its document or its faults out. */
export default (text: string): ReturnType<typeof readGarageFile> => readGarageFile(text);
