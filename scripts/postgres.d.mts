/** What the tests use of the start scripts. */
export function freePort(): Promise<number>;
export function serverOn(cluster: string): { pid: number; port: number } | null;
export function throwAwayPostgres(): Promise<{ url: string; stop: () => Promise<void> }>;
export function privatePostgres(
  folder: string,
  wanted?: number,
): Promise<{ url: string; port: number; stop: () => Promise<void> }>;
