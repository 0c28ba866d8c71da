import { z } from 'zod';

/**
 * What can neither be shown nor stored, or makes a text read otherwise than it is written: control characters, halves of a surrogate pair,
 * code points that are no characters (U+FDD0 … U+FDEF and the last two of each plane), and the marks that turn the direction of writing
 * (U+202A … U+202E, U+2066 … U+2069). Tab and line break stay; so do the two marks that only hint at a direction.
 */
const UNWRITABLE =
  /[\u0000-\u0008\u000b\u000c\u000e-\u001f\u007f-\u009f\ud800-\udfff\u202a-\u202e\u2066-\u2069\ufdd0-\ufdef\p{Noncharacter_Code_Point}]/gu;

/** A text without what cannot be written. Cleaning twice changes nothing more. */
export const cleaned = (value: string): string => value.replace(UNWRITABLE, '');

/**
 * A text of at most `most` UTF-16 units that never ends inside a character.
 * @param most UTF-16 units
 */
export function cut(value: string, most: number): string {
  if (value.length <= most) return value;
  const last = value.charCodeAt(most - 1);
  return value.slice(0, last >= 0xd800 && last <= 0xdbff ? most - 1 : most);
}

/**
 * Every text that anybody types or sends goes through here: cleaned first, then measured. Line breaks stay.
 * @param most characters
 */
export const text = (most: number) => z.string().overwrite(cleaned).max(most);

/**
 * A text on one line: line breaks and tabs become a space, blanks at its ends go.
 * @param most characters
 */
export const line = (most: number) =>
  z
    .string()
    .overwrite((value) =>
      cleaned(value)
        .replace(/[\t\r\n\u2028\u2029]+/g, ' ')
        .trim(),
    )
    .max(most);

/** Greatest length of a line that is typed: a name, a note and all fields of a row fit into it. */
export const MOST_LINE = 3000;
