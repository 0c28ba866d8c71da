import { ref } from 'vue';
import { newGarage } from '@necessaire/core';
import { api, ApiError, type GarageRecord, type OpenGarage } from '../../api/client';
import { keepGarage, keepList, keptGarage, keptList } from '../../sync/garageStore';
import type { useView } from '../view';
import type { Following } from './following';
import * as texts from '../../words/stores/garage/garages';

/** A server that has not answered by then is far away: what is kept here is shown meanwhile, ms. */
const FAR = 1200;
/** Whether the server was not reached, as against refusing. */
const isAway = (error: unknown): boolean => error instanceof ApiError && (error.status === 0 || error.status >= 500);
/** The same, but no longer than a server nearby takes, where there is something else to show. */
async function soon<T>(work: Promise<T>, impatient: boolean): Promise<T> {
  if (!impatient) return work;
  let timer: ReturnType<typeof setTimeout> | undefined;
  const late = new Promise<never>((_, refuse) => {
    timer = setTimeout(() => refuse(new ApiError(0, 'far', texts.theServerIsFarAway, '')), FAR);
  });
  try {
    return await Promise.race([work, late]);
  } finally {
    clearTimeout(timer);
    work.catch(() => undefined);
  }
}

/**
 * The garages that there are, and which of them is open.
 * @param taken shows a garage that was opened
 * @param rewrite gives the open garage another name, as an edit
 */
export function useGarages(
  following: Following,
  view: ReturnType<typeof useView>,
  taken: (opened: OpenGarage) => void,
  rewrite: (name: string) => void,
) {
  const list = ref<GarageRecord[]>([]);

  async function refreshList() {
    const listed = await api.list();
    // As it came: what the page watches cannot be stored.
    void keepList(listed);
    list.value = listed;
  }
  /** The garages there are: by the server, or as they were last seen where it is not reached. */
  async function known(): Promise<GarageRecord[]> {
    const kept = await keptList();
    try {
      await soon(refreshList(), kept.length > 0);
    } catch (error) {
      if (kept.length === 0 || !isAway(error)) throw error;
      list.value = kept;
    }
    return list.value.filter((g) => !g.deleted);
  }
  /** A garage by the server, or as it was last seen here where the server is away or slow; then what changed since is asked for. */
  async function fetched(id: string): Promise<OpenGarage> {
    const kept = await keptGarage(id);
    try {
      return await soon(api.open(id), kept !== null);
    } catch (error) {
      if (!kept || !isAway(error)) throw error;
      return kept;
    }
  }

  /** Opens a garage; without an id the one last open, else the first. Unsent edits of an earlier visit are taken up again. */
  async function open(id?: string) {
    await following.settle();
    const live = await known();
    const wanted = live.find((g) => g.id === (id ?? view.garageId)) ?? live[0];
    if (!wanted) {
      await create(texts.myGarage);
      return;
    }
    const opened = await fetched(wanted.id);
    taken(opened);
    const session = following.follow(opened);
    await session.start();
    void keepGarage(opened);
    // What is shown may be from before: what changed since is asked for.
    if (following.session() === session) void session.check();
  }

  async function create(name: string) {
    const record = await api.create(crypto.randomUUID(), newGarage({ name }));
    await open(record.id);
  }
  async function rename(name: string) {
    rewrite(name);
    await following.settle();
    await refreshList();
  }
  async function removeGarage(id: string) {
    await api.remove(id);
    await refreshList();
    if (view.garageId === id) await open(list.value.find((g) => !g.deleted)?.id);
  }
  async function restoreGarage(id: string) {
    await api.restore(id);
    await open(id);
  }
  async function importFile(text: string) {
    const id = crypto.randomUUID();
    await api.importFile(id, text);
    await open(id);
  }

  return { list, open, create, rename, removeGarage, restoreGarage, importFile, refreshList };
}
