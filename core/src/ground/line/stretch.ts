/**
 * One stretch of a typed line. The lexer knows no meaning: it tells figures, words, quoted texts and signs apart and says where they stand.
 * Every character of the line that is no blank, comma or semicolon belongs to exactly one token.
 */
export interface Token {
  /** First character in the line, and the one behind the last. */
  start: number;
  end: number;
  kind: 'number' | 'word' | 'quoted' | 'mark';
  /** Small letters, in the spelling that the vocabularies use; of a quoted text its inside as it was typed. */
  text: string;
  /** Whether it follows the token before without a blank. */
  glued: boolean;
  /** Of a number: its value, in halves and eighths too. */
  value: number;
  /** Of a number written as a fraction: `1 1/8` is 9 over 8. */
  fraction: { n: number; of: number } | null;
  /** Decimals that it was written with. */
  decimals: number;
  /** Whether it was said in words: `twenty seven`. */
  spelled: boolean;
  /** Whether the token ended a part of a list: a comma or semicolon stands behind it. */
  stops: boolean;
}
