import type { Workbox } from 'workbox-window';
import { ref } from 'vue';
import { askToPersist } from './garageStore';

/** Whether everything that the program is made of lies in this browser. */
export const allHere = ref(false);
/** Whether a newer version waits to be loaded. */
export const newerWaits = ref(false);
/** Whether it is being loaded: the rider asked for it, and its worker has not taken over yet. */
export const loadsNewer = ref(false);
/** Whether the browser keeps what is stored here even when it runs short of room; null until it was asked. */
export const persisted = ref<boolean | null>(null);
/** Whether hardly any room is left for what is stored here. */
export const nearlyFull = ref(false);

/** Room that a long ride's edits and a garage take with ease, bytes. */
const ROOM = 24 * 1024 * 1024;
/** How often a page that stays open asks for a newer version, ms. */
const ASK_EVERY = 3_600_000;

let worker: Workbox | null = null;

/** Lets the browser keep the program for days without a network; called once the first view stands. */
export async function keepOffline(): Promise<void> {
  void askToPersist().then((yes) => (persisted.value = yes));
  if ('storage' in navigator && navigator.storage.estimate) {
    const { quota, usage } = await navigator.storage.estimate();
    nearlyFull.value = quota !== undefined && usage !== undefined && quota - usage < ROOM;
  }
  if (!import.meta.env.PROD || !('serviceWorker' in navigator) || worker) return;
  try {
    const { Workbox } = await import('workbox-window');
    worker ??= new Workbox('/sw.js');
    worker.addEventListener('waiting', () => (newerWaits.value = true));
    worker.addEventListener('activated', () => (allHere.value = true));
    const registration = await worker.register();
    if (registration?.active) allHere.value = true;
    setInterval(() => void worker?.update().catch(() => undefined), ASK_EVERY);
  } catch {
    // A browser that keeps no worker shows the program as long as the server is there; one that did not reach it tries again.
    addEventListener('online', () => void keepOffline(), { once: true });
  }
}

/** How often the newer version is asked to take over, ms. */
const ASK_AGAIN = 1000;
/** How many times it is asked before it is fetched past its worker. */
const ASKS = 12;

/**
 * Loads the newer version: what is unsent lies in the outbox and is sent from there. A worker that sleeps, or that a busy machine is slow to wake, may not
 * hear the first word: it is asked until it has taken over. One that never does is let go with the worker before it, once the server is there to give
 * the page; the page then lays the program here anew.
 */
export async function loadNewer(): Promise<void> {
  loadsNewer.value = true;
  const registration = await navigator.serviceWorker.getRegistration();
  let loading = false;
  let asked = 0;
  const load = () => {
    if (loading) return;
    loading = true;
    clearInterval(again);
    location.reload();
  };
  const ask = () => {
    // None waits any more: it has taken over.
    if (!registration?.waiting) return load();
    registration.waiting.postMessage({ type: 'SKIP_WAITING' });
    if (++asked % ASKS === 0) void fromServer(registration).then((free) => free && load());
  };
  navigator.serviceWorker.addEventListener('controllerchange', load, { once: true });
  const again = setInterval(ask, ASK_AGAIN);
  ask();
}

/** Lets the workers go if the server would give the page: without it they are what the page is loaded from. */
async function fromServer(registration: ServiceWorkerRegistration): Promise<boolean> {
  try {
    return (await fetch('/health', { cache: 'no-store' })).ok && (await registration.unregister());
  } catch {
    return false;
  }
}
