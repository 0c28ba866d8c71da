/** Signs that lists begin their lines with: `- `, `• `, `1. `, `2) `, `[ ] `. */
const BULLET = /^\s*(?:[-*•·–—▪◦☐☑✓]+\s+|\[[ xX]?\]\s*|\d{1,3}[.)]\s+)/u;
/** A line such as `Tools:` names what follows. */
const HEADING = /^[\p{L}\p{M} '’&-]{2,40}:$/u;
/** Greatest number of lines that are read at once. */
export const MOST_LINES = 500;

/**
 * The lines of a list as somebody wrote or copied it, without bullets, numbers, empty lines and headings.
 * @param text a note, a message, a shop's list
 */
export const linesOf = (text: string): string[] =>
  text
    .split(/\r\n|[\n\r\u2028\u2029]/u)
    .map((l) => l.replace(BULLET, '').trim())
    .filter((l) => l !== '' && !HEADING.test(l))
    .slice(0, MOST_LINES);

/** Whether a text has several lines, so that it is a list. */
export const isList = (text: string): boolean => linesOf(text).length > 1;
