import { refuse, type Refusal } from '../refusal.js';

/** What PostgreSQL's driver throws. */
interface DatabaseError extends Error {
  code?: string;
  table?: string;
  constraint?: string;
  detail?: string;
  column?: string;
}

const AWAY = new Set([
  'ECONNREFUSED',
  'ECONNRESET',
  'EPIPE',
  'ENOTFOUND',
  'ETIMEDOUT',
  '57P01',
  '57P02',
  '57P03',
  '53300',
]);

/** Whether the database was not there, or went away in the middle. */
export const isAway = (error: unknown): boolean => {
  const { code, message, name } = error as DatabaseError;
  return (
    AWAY.has(code ?? '') ||
    /^08/.test(code ?? '') ||
    name === 'KnexTimeoutError' ||
    /Connection terminated|Timeout acquiring a connection|Unable to acquire a connection|not queryable/.test(
      message ?? '',
    )
  );
};

/**
 * What a database error is in the words of a refusal: what was sent cannot be stored, or the database cannot store now.
 * @returns null for what is neither: a fault of the server
 */
export function faultOf(error: unknown): Refusal | null {
  const { code = '', table = '', constraint = '', column = '' } = error as DatabaseError;
  const at = [table, column || constraint].filter(Boolean).join('.') || '(request)';
  if (isAway(error))
    return refuse(503, 'not-ready', 'database', 'the database does not answer: nothing was saved, it is tried again');
  if (code === '53100' || code === '53200' || code === '58030')
    return refuse(507, 'disk-full', 'database', 'disk full: nothing was saved, free some space');
  if (code === '40001' || code === '40P01')
    return refuse(503, 'not-ready', 'database', 'two writes met: nothing was saved, it is tried again');
  if (code === '23503') return refuse(422, 'dangling', at, 'it hangs on a row that is not in this garage');
  if (code === '23505' || code === '23P01') return refuse(409, 'exists', at, 'another row is in its place already');
  if (/^2[23]/.test(code)) return refuse(422, 'invalid', at, 'holds a value that cannot be stored: correct it');
  return null;
}
