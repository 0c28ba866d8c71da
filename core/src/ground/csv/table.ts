import Papa from 'papaparse';

/** One cell of a preview: the text as it stood in the file, and what is wrong with it. */
export interface Cell {
  column: string;
  text: string;
  fault: string | null;
}
/** One line of a file in preview. */
export interface Line {
  /** Line number in the file, the header being 1. */
  number: number;
  cells: Cell[];
}
export interface Sheet {
  /** Column titles as they stood in the file, trimmed. */
  header: string[];
  lines: { number: number; cells: string[] }[];
  separator: string;
}

export const MOST_CSV_LINES = 10_000;
export const MOST_CSV_BYTES = 8 * 1024 * 1024;
const MOST_COLUMNS = 80;
const SEPARATORS = [',', ';', '\t', '|'];

/** A spreadsheet takes these beginnings, full-width ones too, for a formula; an apostrophe in front makes them text, and is taken off when read. */
const FORMULA = /^[=+\-@\t\r\n\uff1d\uff0b\uff0d\uff20]/;
const SHIELDED = /^'(?=[=+\-@\t\r\n\uff1d\uff0b\uff0d\uff20'])/;
const asText = (value: string) => (FORMULA.test(value) || SHIELDED.test(value) ? `'${value}` : value);
const fromText = (value: string) => value.replace(SHIELDED, '');

/**
 * Writes a table as CSV (RFC 4180, comma, CRLF, a byte-order mark so that spreadsheets read it as UTF-8). No cell is ever a formula.
 * @param rows cells in the order of the header
 */
export function writeCsv(header: readonly string[], rows: readonly (readonly (string | number)[])[]): string {
  const text = (cell: string | number) => (typeof cell === 'number' ? String(cell) : asText(cell));
  return `\ufeff${Papa.unparse({ fields: [...header], data: rows.map((r) => r.map(text)) }, { newline: '\r\n' })}\r\n`;
}

/** The separator that cuts the header into the most columns. */
function separatorOf(text: string): string {
  const columns = (delimiter: string) => Papa.parse<string[]>(text, { delimiter, preview: 1 }).data[0]?.length ?? 0;
  return SEPARATORS.reduce((best, s) => (columns(s) > columns(best) ? s : best));
}

/**
 * Reads any CSV: byte-order mark or none, comma, semicolon, tab or bar as separator, quoted cells, either line ending.
 * @returns the sheet, or why it is none and what to do
 */
export function readCsv(text: string): { ok: true; sheet: Sheet } | { ok: false; message: string } {
  const refuse = (message: string) => ({ ok: false as const, message });
  if (text.length > MOST_CSV_BYTES) return refuse(`the file is over ${MOST_CSV_BYTES / 1024 / 1024} MB: split it`);
  if (/\u0000/.test(text)) return refuse('this is no text: save it as CSV in UTF-8');
  const plain = text.replace(/^\ufeff/, '');
  if (plain.trim() === '') return refuse('the file is empty');
  const parsed = Papa.parse<string[]>(plain, { delimiter: separatorOf(plain) });
  const broken = parsed.errors.find((e) => e.type === 'Quotes');
  if (broken) return refuse(`a quote is not closed from line ${(broken.row ?? 0) + 1} on: close it`);
  const [header, ...rest] = parsed.data;
  if (!header || header.length > MOST_COLUMNS) return refuse(`over ${MOST_COLUMNS} columns: this is no such table`);
  const lines = rest
    .map((cells, i) => ({ number: i + 2, cells: cells.map((c) => fromText(c.trim())) }))
    .filter((l) => l.cells.some((c) => c !== ''));
  if (lines.length === 0) return refuse('there is a header but no line under it');
  if (lines.length > MOST_CSV_LINES) return refuse(`over ${MOST_CSV_LINES} lines: split the file`);
  return {
    ok: true,
    sheet: { header: header.map((h) => fromText(h.trim())), lines, separator: parsed.meta.delimiter },
  };
}

/** A number as written with a point or a comma for the decimals; NaN for anything else, thousands marks included. */
export const readNumber = (text: string): number =>
  /^[+-]?\d+([.,]\d+)?$/.test(text) ? Number(text.replace(',', '.')) : Number.NaN;

const YES = new Set(['yes', 'y', 'true', '1', 'x']);
const NO = new Set(['no', 'n', 'false', '0', '']);
/** Yes or no in the words that spreadsheets write; null for anything else. */
export function readYes(text: string): boolean | null {
  const word = text.toLowerCase();
  return YES.has(word) ? true : NO.has(word) ? false : null;
}
