import 'fake-indexeddb/auto';
import { openDB } from 'idb';

/** What the stores ask of a browser, as far as they ask it; for tests in Node. */
class Listeners extends EventTarget {
  readonly documentElement = { dataset: {} as Record<string, string> };
  visibilityState = 'visible';
  /** Nothing is drawn: what draws asks for it as it is read. */
  readonly createElement = () => ({});
}
const kept = new Map<string, string>();
const storage = {
  getItem: (key: string) => kept.get(key) ?? null,
  setItem: (key: string, value: string) => void kept.set(key, value),
  removeItem: (key: string) => void kept.delete(key),
  clear: () => kept.clear(),
};
/** A stream that never says anything: news is asked for. */
class Silent {
  static readonly CLOSED = 2;
  readyState = 0;
  onmessage = null;
  onerror = null;
  close(): void {}
}
const channels: BroadcastChannel[] = [];
class Channel extends BroadcastChannel {
  private over = false;
  constructor(name: string) {
    super(name);
    channels.push(this);
  }
  override postMessage(message: unknown): void {
    if (!this.over) super.postMessage(message);
  }
  override close(): void {
    this.over = true;
    super.close();
  }
}
const page = new EventTarget();
const nothing = { matches: false, addEventListener: () => undefined, removeEventListener: () => undefined };
Object.assign(globalThis, {
  window: globalThis,
  __BUILD__: 'test',
  localStorage: storage,
  // A browser without locks: each page sends by itself, which the server bears.
  navigator: { onLine: true },
  document: new Listeners(),
  history: { state: null },
  matchMedia: () => nothing,
  EventSource: Silent,
  BroadcastChannel: Channel,
  addEventListener: page.addEventListener.bind(page),
  removeEventListener: page.removeEventListener.bind(page),
  dispatchEvent: page.dispatchEvent.bind(page),
});

/** What a browser has once its short notes are cleared. */
export function clearStorage(): void {
  kept.clear();
}

/** What a browser has that never saw the page: nothing of what other tests kept in it. */
export async function emptyBrowser(): Promise<void> {
  kept.clear();
  for (const { name } of await indexedDB.databases()) {
    const database = await openDB(name!);
    const stores = [...database.objectStoreNames];
    const all = database.transaction(stores, 'readwrite');
    await Promise.all([...stores.map((store) => all.objectStore(store).clear()), all.done]);
    database.close();
  }
}

/** All pages are left: what they have under way comes to rest, and nothing of them keeps the process alive. */
export function leavePages(): void {
  dispatchEvent(new Event('online'));
  dispatchEvent(new Event('pagehide'));
  for (const channel of channels.splice(0)) channel.close();
}
