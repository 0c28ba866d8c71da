import { expose } from 'comlink';

/** What a worker of the page does, in the same process: by the name of its file. */
export const workers = new Map<string, object>();
/** Workers that were started, and those of them that were ended. */
export const started: InProcess[] = [];

/** Takes the place of the browser's own: calls go over a channel as they do there. */
export class InProcess {
  private readonly channel = new MessageChannel();
  ended = false;
  constructor(readonly url: URL) {
    const api = workers.get(url.pathname.split('/').at(-1)!) ?? {};
    expose(api, this.channel.port1);
    this.channel.port2.start();
    started.push(this);
  }
  postMessage(message: unknown, transfer: Transferable[] = []): void {
    this.channel.port2.postMessage(message, transfer);
  }
  private readonly onFault: ((event: Event) => void)[] = [];
  addEventListener(kind: 'message' | 'error', hear: (event: Event) => void): void {
    if (kind === 'error') this.onFault.push(hear);
    else this.channel.port2.addEventListener(kind, hear);
  }
  /** Its program does not come, or a fault in it stops it. @param message what the browser says of a fault; nothing of what it could not fetch */
  break(message?: string): void {
    for (const hear of this.onFault) hear(Object.assign(new Event('error'), { message }));
  }
  removeEventListener(kind: 'message', hear: (event: MessageEvent) => void): void {
    this.channel.port2.removeEventListener(kind, hear);
  }
  terminate(): void {
    this.ended = true;
    this.channel.port1.close();
    this.channel.port2.close();
  }
}
Object.assign(globalThis, { Worker: InProcess });
