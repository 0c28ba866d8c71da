/** What stands in a sentence beside its own words. */
export type Part = string | number | null | undefined;

/** A sentence with its parts in it; a part that is not there leaves nothing, as it does in a template. */
export const said = (own: TemplateStringsArray, ...parts: readonly Part[]): string =>
  own.reduce((text, piece, i) => text + (parts[i - 1] ?? '') + piece);
