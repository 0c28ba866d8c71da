/** One line of a corpus: what is typed, and its right reading. */
export interface CorpusLine {
  line: string;
  right: string;
}

/** The lines of a corpus text; those that begin with `#` are headings. */
export const corpusOf = (text: string): CorpusLine[] =>
  text
    .split('\n')
    .filter((l) => l.includes(' =>') && !l.startsWith('#'))
    .map((l) => {
      const at = l.lastIndexOf(' =>');
      return { line: l.slice(0, at), right: l.slice(at + 3).trim() };
    });
