/** What the pages of one browser tell each other about a garage. */
export interface Others {
  tell: (edition: number) => void;
  close: () => void;
}

/**
 * Hears what other pages, in this browser and elsewhere, do to a garage. Pages of this browser speak over a channel; one of them, whichever
 * holds the lock, also listens to the server's stream and passes it on, so that many pages need one connection.
 * @param broken the stream broke off
 * @param heard the edition that the garage has reached; `outbox` when a page of this browser may have changed the outbox
 */
export function hearOthers(
  garage: string,
  heard: (edition: number, outbox: boolean) => void,
  broken: () => void,
): Others {
  const channel = new BroadcastChannel(`necessaire.garage.${garage}`);
  channel.onmessage = (event: MessageEvent<unknown>) => {
    const said = event.data as { edition?: unknown; outbox?: unknown } | null;
    if (typeof said?.edition === 'number') heard(said.edition, said.outbox === true);
  };
  const leaving = new AbortController();
  const listen = () =>
    new Promise<void>((left) => {
      let source: EventSource | null = null;
      let again: ReturnType<typeof setTimeout> | undefined;
      const join = () => {
        source = new EventSource(`/api/garages/${garage}/events`);
        source.onmessage = (event) => {
          const edition = Number(event.data);
          if (!Number.isInteger(edition)) return;
          heard(edition, false);
          channel.postMessage({ edition });
        };
        source.onerror = () => {
          broken();
          // The browser comes back by itself unless it was refused.
          if (source?.readyState === EventSource.CLOSED) again = setTimeout(join, 3000);
        };
      };
      join();
      leaving.signal.addEventListener('abort', () => {
        clearTimeout(again);
        source?.close();
        left();
      });
    });
  if ('locks' in navigator)
    navigator.locks.request(`necessaire.listen.${garage}`, { signal: leaving.signal }, listen).catch(() => undefined);
  else void listen();
  return {
    tell: (edition) => channel.postMessage({ edition, outbox: true }),
    close: () => {
      leaving.abort();
      channel.close();
    },
  };
}
