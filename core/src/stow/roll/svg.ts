import { entry } from '../../ground/numbers.js';
import { cleaned, cut } from '../../ground/text.js';
import { HEM, LABELS, type RollLayout } from './layout.js';

const escape = (value: string) =>
  cleaned(value).replace(/[&<>"']/gu, (c) =>
    entry({ '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;', "'": '&#39;' }, c),
  );
const n = (x: number) => String(Math.round(x * 100) / 100);

/** Drawing of a whole roll in mm, without the frame of a file. */
function drawing(roll: RollLayout): string {
  const seams = roll.slots
    .map((s) => {
      const bottom = roll.height - LABELS;
      return `<path d="M${n(s.x)} ${n(bottom - s.length)}V${n(bottom)}H${n(s.x + s.width)}V${n(bottom - s.length)}" stroke-dasharray="3 2"/>`;
    })
    .join('');
  const pieces = roll.slots
    .flatMap(({ piece }) =>
      piece
        ? [
            `<path d="${piece.d}" transform="translate(${n(piece.x)} ${n(piece.y)})" fill="#e4ddcc" fill-rule="evenodd"/>`,
          ]
        : [],
    )
    .join('');
  const labels = roll.slots
    .filter((s) => s.label)
    .map((s) => {
      const size = 4.2;
      const fits = s.label.length * size * 0.56 <= s.width;
      const [x, y] = [s.x + s.width / 2, roll.height - LABELS + (fits ? 7 : 3)];
      return fits
        ? `<text x="${n(x)}" y="${n(y)}" font-size="${size}" text-anchor="middle">${escape(s.label)}</text>`
        : `<text transform="translate(${n(x - 1.4)} ${n(y)}) rotate(90)" font-size="3.4">${escape(cut(s.label, 11))}</text>`;
    })
    .join('');
  return (
    `<g fill="none" stroke="#22251f" stroke-width="0.4"><rect width="${n(roll.width)}" height="${n(roll.height)}"/>${seams}${pieces}</g>` +
    `<g font-family="sans-serif" fill="#22251f">${labels}</g>`
  );
}

const file = (width: number, height: number, inner: string, title: string) =>
  `<svg xmlns="http://www.w3.org/2000/svg" width="${n(width)}mm" height="${n(height)}mm" viewBox="0 0 ${n(width)} ${n(height)}"><title>${escape(title)}</title>${inner}</svg>\n`;

/** The whole roll as one SVG at true scale: a millimetre in it is a millimetre. */
export const rollSvg = (roll: RollLayout): string => file(roll.width, roll.height, drawing(roll), roll.name);

/** A sheet of paper in mm, lying, with the margin that printers leave. */
export const PAPER = { width: 297, height: 210, margin: 10 };
/** What neighbouring sheets share, so that they can be glued, mm. */
export const SHARED = 10;

/** How many sheets a roll takes, across and down. */
export function sheetsOf(roll: RollLayout): { across: number; down: number } {
  const fit = (whole: number, sheet: number) => Math.max(1, Math.ceil((whole - SHARED) / (sheet - SHARED)));
  return {
    across: fit(roll.width, PAPER.width - 2 * PAPER.margin),
    down: fit(roll.height, PAPER.height - 2 * PAPER.margin - FOOT),
  };
}
/** Strip at the foot of each sheet with its number and a rule to check the scale by, mm. */
const FOOT = 12;

/** The roll over several sheets at true scale, left to right and then down; each has a rule of 100 mm to check the print by. */
export function rollSheets(roll: RollLayout): string[] {
  const { across, down } = sheetsOf(roll);
  const w = PAPER.width - 2 * PAPER.margin;
  const h = PAPER.height - 2 * PAPER.margin - FOOT;
  const inner = drawing(roll);
  return Array.from({ length: across * down }, (_, i) => {
    const [col, row] = [i % across, Math.floor(i / across)];
    const [x, y] = [col * (w - SHARED), row * (h - SHARED)];
    const m = PAPER.margin;
    const foot = PAPER.height - m;
    const marks = [
      col > 0 ? `<path d="M${m + SHARED} ${m}v${n(h)}" stroke-dasharray="1 2"/>` : '',
      row > 0 ? `<path d="M${m} ${m + SHARED}h${n(w)}" stroke-dasharray="1 2"/>` : '',
    ].join('');
    return file(
      PAPER.width,
      PAPER.height,
      `<defs><clipPath id="sheet${i}"><rect x="${m}" y="${m}" width="${n(w)}" height="${n(h)}"/></clipPath></defs>` +
        `<g clip-path="url(#sheet${i})"><g transform="translate(${n(m - x)} ${n(m - y)})">${inner}</g></g>` +
        `<g fill="none" stroke="#22251f" stroke-width="0.3"><rect x="${m}" y="${m}" width="${n(w)}" height="${n(h)}"/>${marks}` +
        `<path d="M${m} ${n(foot - 2)}h100m0 -2v4M${m} ${n(foot - 4)}v4"/></g>` +
        `<g font-family="sans-serif" font-size="3.6" fill="#22251f"><text x="${m + 104}" y="${n(foot - 1)}">100 mm: print at 100 %, not fitted to the page</text>` +
        `<text x="${PAPER.width - m}" y="${n(foot - 1)}" text-anchor="end">${escape(roll.name)}, sheet ${i + 1} of ${across * down}: glue on the dotted line</text></g>`,
      `${roll.name}, sheet ${i + 1}`,
    );
  });
}

/** Labels alone, as wide as their slots, to be cut out and sewn in. */
export function labelSheet(roll: RollLayout): string {
  const w = PAPER.width - 2 * PAPER.margin;
  let x = PAPER.margin;
  let y = PAPER.margin;
  const high = 14;
  const parts = roll.slots
    .filter((s) => s.piece)
    .map((s) => {
      const width = Math.max(s.width, 24);
      if (x + width > PAPER.margin + w) {
        x = PAPER.margin;
        y += high;
      }
      const size = Math.min(5, (width - 3) / Math.max(3, s.label.length) / 0.56);
      const part =
        `<rect x="${n(x)}" y="${n(y)}" width="${n(width)}" height="${high}" fill="none" stroke="#22251f" stroke-width="0.3" stroke-dasharray="1 1.5"/>` +
        `<text x="${n(x + width / 2)}" y="${n(y + 8.5)}" font-size="${n(size)}" text-anchor="middle" font-weight="600">${escape(s.label)}</text>`;
      x += width;
      return part;
    })
    .join('');
  return file(
    PAPER.width,
    Math.max(PAPER.height, y + high + HEM),
    `<g font-family="sans-serif" fill="#22251f">${parts}</g>`,
    `${roll.name}: labels`,
  );
}
