import { useRouter, type RouteLocationRaw } from 'vue-router';
import type { Entry } from './find';

export interface Found extends Entry {
  run: () => void;
  /** The place where it lies: shown on the bike while it is chosen. */
  placeId?: string | null;
}

/** Goes to a page when it is chosen. */
export function useGoing() {
  const router = useRouter();
  return (to: RouteLocationRaw) => () => void router.push(to);
}
