import { install } from '@sinonjs/fake-timers';

/** A clock that a test sets forward by hand; what waits for it, timers and promises, is done on the way. */
export function playClock() {
  const clock = install();
  return {
    /** @param ms how far it goes */
    async pass(ms: number): Promise<void> {
      await clock.tickAsync(ms);
    },
    /** The real one is back. */
    stop: () => clock.uninstall(),
  };
}
