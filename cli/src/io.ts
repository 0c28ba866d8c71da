/** What a command needs from the world, so that tests can stand in for it. */
export interface Io {
  out: (text: string) => void;
  err: (text: string) => void;
  wait: (ms: number) => Promise<void>;
  get: (url: string) => Promise<unknown>;
  post: (url: string, body: unknown) => Promise<void>;
}
/** What a command was asked wrongly with; exit code 2. */
export class UsageError extends Error {}

async function call(url: string, init?: RequestInit): Promise<unknown> {
  let response: Response;
  try {
    response = await fetch(url, init);
  } catch {
    throw new UsageError(`no server at ${new URL(url).origin}: start it with ./start, or name it with --server`);
  }
  const body: unknown = await response.json();
  if (response.ok) return body;
  const error = (body as { error?: { path?: string; message?: string } }).error;
  throw new UsageError(`${error?.path ?? 'server'}: ${error?.message ?? `answered ${response.status}`}`);
}

/** The real world: standard output, timers, HTTP. */
export const realIo: Io = {
  out: (text) => void process.stdout.write(text),
  err: (text) => void process.stderr.write(text),
  wait: (ms) => new Promise((resolve) => setTimeout(resolve, ms)),
  get: (url) => call(url),
  post: async (url, body) => {
    await call(url, { method: 'POST', headers: { 'Content-Type': 'application/json' }, body: JSON.stringify(body) });
  },
};
