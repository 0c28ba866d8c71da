import { cut } from '../../ground/text.js';
import { readSize } from '../../ground/line/index.js';
import { sizeExists, typeShape, type HeadForm, type Shape } from '../../ground/sizes/index.js';
import type { Outcome, Try } from './gauging.js';

const WORDS: { re: RegExp; outcome: Outcome }[] = [
  {
    re: /^(?:does not go on|does not|doesn[’']t go on|doesn[’']t|won[’']t go on|won[’']t|too small|no)(?![\p{L}])/iu,
    outcome: 'does not go on',
  },
  { re: /^(?:is )?(?:snug|tight|fits)(?![\p{L}])/iu, outcome: 'snug' },
  { re: /^(?:is )?(?:loose|rattles|sloppy)(?![\p{L}])/iu, outcome: 'loose' },
  { re: /^(?:spins|turns round|slips)(?![\p{L}])/iu, outcome: 'spins' },
  { re: /^(?:goes on|goes|yes|on)(?![\p{L}])/iu, outcome: 'goes on' },
];

/** What turns a bare number into a tool of the head's form. */
const PREFIX: Partial<Record<HeadForm, string>> = { key: 'i', lobe: 't', 'lobe-pin': 't', 'lobe-out': 'e' };

/**
 * Reads what riders say of tools put on a head: `13 goes on, 12 does not`, `1/2in snug`, `14 loose`.
 * @param form the head's form; a bare number is a tool of that form
 * @returns the tries, or what could not be read
 */
export function readTries(text: string, form: HeadForm): { tries: Try[] } | { reason: string } {
  const tries: Try[] = [];
  let rest = text.trim();
  const toolForm: HeadForm = form === 'plug' || form === 'hex12' ? 'hex' : form;
  while (rest !== '') {
    const prefix = /^\d/.test(rest) ? (PREFIX[form] ?? '') : '';
    const read = readSize(prefix + rest);
    if (!read) return { reason: `"${cut(rest, 20)}" is no tool size: say "13 goes on, 12 does not"` };
    if (!read.ok) return { reason: read.reason };
    const tool: Shape = {
      form: read.head.form === 'lobe' && form === 'lobe-pin' ? form : read.head.form,
      size: read.head.size,
    };
    if (tool.form !== toolForm || !sizeExists(toolForm, tool.size))
      return { reason: `a ${typeShape(read.head)} is not for such a head` };
    rest = rest.slice(read.used - prefix.length).trim();
    const word = WORDS.find((w) => w.re.test(rest));
    if (!word) return { reason: `how did ${typeShape(read.head)} sit? Say goes on, snug, loose, spins or does not` };
    tries.push({ tool, outcome: word.outcome });
    rest = rest.replace(word.re, '').replace(/^\s*(?:[,;.]|and\b|but\b)?\s*/iu, '');
  }
  return tries.length > 0 ? { tries } : { reason: 'say which tool and how it sat: 13 snug' };
}
