import { z } from 'zod';

/** A fault in a file or a request: where, and what to do about it. */
export interface Fault {
  code: string;
  /** Path to the culprit, such as `fasteners[3].head.size`. */
  path: string;
  message: string;
}

/** A path as a reader would write it: `fasteners[3].head.size`. */
export function pathText(path: readonly PropertyKey[]): string {
  return path.reduce<string>(
    (text, part) =>
      typeof part === 'number' ? `${text}[${part}]` : text === '' ? String(part) : `${text}.${String(part)}`,
    '',
  );
}

/** What to do about one of Zod's issues, in plain words; our own messages pass through. */
function advice(issue: z.core.$ZodIssue): string {
  switch (issue.code) {
    case 'invalid_type':
      return issue.message.endsWith('received undefined')
        ? `is missing: it must be ${issue.expected}`
        : `must be ${issue.expected}: correct it`;
    case 'unrecognized_keys':
      return `has unknown fields (${issue.keys.join(', ').slice(0, 80)}): remove them`;
    case 'too_big':
      return issue.origin === 'array' ? `too many: at most ${issue.maximum}` : `too big: at most ${issue.maximum}`;
    case 'too_small':
      return issue.message.startsWith('Too small') ? `too small: at least ${issue.minimum}` : issue.message;
    case 'invalid_value':
      return `must be one of: ${issue.values.map(String).join(', ').slice(0, 200)}`;
    default:
      return issue.message;
  }
}

/** Zod's issues as faults, at most twenty: more would bury the first. */
export function faultsOf(error: z.ZodError, prefix = ''): Fault[] {
  return error.issues.slice(0, 20).map((issue) => ({
    code: 'invalid',
    path: [prefix, pathText(issue.path)].filter(Boolean).join('.') || '(whole file)',
    message: advice(issue),
  }));
}
