import { afterEach, describe, expect, test } from '@jest/globals';
import { api, ApiError } from './client';

const real = globalThis.fetch;
afterEach(() => {
  globalThis.fetch = real;
});
const id = '00000000-0000-4000-8000-000000000001';
/** What the browser's own would give. */
function gives(answer: () => Response | Promise<Response>) {
  const asked: { path: string; init: RequestInit }[] = [];
  globalThis.fetch = ((path: string, init: RequestInit) => {
    asked.push({ path, init });
    return Promise.resolve().then(answer);
  }) as typeof fetch;
  return asked;
}
const said = (body: unknown, status = 200) => new Response(JSON.stringify(body), { status });
async function fails(work: Promise<unknown>): Promise<ApiError> {
  const error: unknown = await work.then(
    () => null,
    (e: unknown) => e,
  );
  expect(error).toBeInstanceOf(ApiError);
  return error as ApiError;
}

describe('the server as the page sees it', () => {
  test('not reached, or an answer that breaks off: the same can be sent again', async () => {
    gives(() => Promise.reject(new TypeError('no network')));
    expect(await fails(api.list())).toMatchObject({ status: 0, code: 'unreached' });
    gives(
      () =>
        new Response(
          new ReadableStream({
            pull(stream) {
              stream.error(new Error('cut'));
            },
          }),
        ),
    );
    expect(await fails(api.list())).toMatchObject({ status: 0, code: 'unreached' });
  });
  test('a page that answers in its place is no answer of the server', async () => {
    gives(() => new Response('<html>Sign in</html>', { status: 200 }));
    const error = await fails(api.exchange(id, { since: 0, edits: [] }));
    expect(error).toMatchObject({ status: 0, code: 'portal' });
    expect(error.message).toContain('sign-in page');
  });
  test('a refusal says its code, the path to the culprit and all else that the server says', async () => {
    gives(() => said({ error: { code: 'invalid', path: 'trips[0].name', message: 'give it a name', most: 9 } }, 422));
    expect(await fails(api.create(id, {} as never))).toMatchObject({
      ...{ status: 422, code: 'invalid', path: 'trips[0].name', message: 'give it a name' },
      more: { most: 9 },
    });
  });
  test('an error that is not the server’s own is one all the same', async () => {
    for (const body of ['<h1>Bad gateway</h1>', '{"error":"x"}', '']) {
      gives(() => new Response(body, { status: 502 }));
      expect([body, await fails(api.list())]).toEqual([body, expect.objectContaining({ status: 502, code: 'server' })]);
    }
  });
  test('what does not look as it should is not taken for a garage', async () => {
    gives(() => said({ garages: [{ id: 'x' }] }));
    await expect(api.list()).rejects.toThrow();
    gives(() => said({ outcomes: [{ id, is: 'eaten' }], edition: 1, news: [] }));
    await expect(api.exchange(id, { since: 0, edits: [] })).rejects.toThrow();
  });
  test('writes say that they are JSON, with a body or without; reads say nothing', async () => {
    const asked = gives(() => said({ error: { code: 'x', path: '', message: 'y' } }, 404));
    for (const work of [() => api.list(), () => api.remove(id), () => api.importFile(id, '{"a":1}')])
      await fails(work());
    const type = (i: number) => new Headers(asked[i]!.init.headers).get('Content-Type');
    expect(asked.map((a) => [a.init.method, a.path])).toEqual([
      ['GET', '/api/garages'],
      ['DELETE', `/api/garages/${id}`],
      ['PUT', `/api/garages/${id}/file`],
    ]);
    expect([type(0), type(1), type(2)]).toEqual([null, 'application/json', 'application/json']);
    // A file goes as it is, not wrapped once more.
    expect(asked[2]!.init.body).toBe('{"a":1}');
    expect(api.fileUrl(id)).toBe(`/api/garages/${id}/file`);
  });
});
