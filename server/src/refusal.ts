import type { Fault } from '@necessaire/core';

/**
 * The one shape in which the server refuses: `{ "error": { code, path, message, … } }`, documented in docs/server.md.
 * `message` says what to do; `path` leads to the culprit.
 */
export class Refusal extends Error {
  constructor(
    readonly status: number,
    readonly fault: Fault,
    readonly more: Record<string, unknown> = {},
  ) {
    super(fault.message);
  }
}

export const refuse = (
  status: number,
  code: string,
  path: string,
  message: string,
  more: Record<string, unknown> = {},
): Refusal => new Refusal(status, { code, path, message }, more);
