/** What HeadGlyph says. */
export const in2 = 'in';
