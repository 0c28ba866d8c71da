import { useIntervalFn, useTimeoutFn } from '@vueuse/core';
import { defineStore } from 'pinia';
import { computed, ref, shallowRef, watch } from 'vue';
import { hear, LOST_AFTER_MS, signalSchema, type Heard, type Instrument } from '@necessaire/core';
import { useView } from './view';

type Line = 'off' | 'joining' | 'open' | 'broken';
interface Last {
  heard: Heard;
  at: number;
}

/**
 * Callipers and scales that stream to this page. Nothing is taken by itself: what is heard is shown, and the rider takes it.
 * The stream is open while at least one part of the screen uses it.
 */
export const useInstruments = defineStore('instruments', () => {
  const view = useView();
  const line = ref<Line>('off');
  const last = shallowRef<Partial<Record<Instrument, Last>>>({});
  const now = ref(Date.now());
  let users = 0;
  let source: EventSource | null = null;
  const tick = useIntervalFn(() => (now.value = Date.now()), 1000, { immediate: false });
  const again = useTimeoutFn(() => users > 0 && line.value === 'broken' && join(), 3000, { immediate: false });

  function take(data: string) {
    let json: unknown;
    try {
      json = JSON.parse(data);
    } catch {
      return;
    }
    const read = signalSchema.safeParse(json);
    if (!read.success) return;
    const { instrument } = read.data;
    now.value = Date.now();
    const heard = hear(last.value[instrument]?.heard ?? null, read.data);
    last.value = { ...last.value, [instrument]: { heard, at: now.value } };
  }
  function join() {
    source?.close();
    source = null;
    last.value = {};
    if (users === 0 || !view.garageId) {
      line.value = 'off';
      return;
    }
    line.value = 'joining';
    source = new EventSource(`/api/garages/${view.garageId}/instruments`);
    source.onopen = () => (line.value = 'open');
    source.onerror = () => {
      line.value = 'broken';
      // The browser tries again by itself unless the server refused; then it is tried anew.
      if (source?.readyState === EventSource.CLOSED) again.start();
    };
    source.onmessage = (event) => take(String(event.data));
  }
  watch(() => view.garageId, join);

  /** Opens the stream for a part of the screen. @returns to give it up */
  function use(): () => void {
    if (users++ === 0) {
      join();
      tick.resume();
    }
    return () => {
      if (--users > 0) return;
      source?.close();
      source = null;
      line.value = 'off';
      tick.pause();
    };
  }

  const of = (instrument: Instrument) =>
    computed(() => {
      const l = last.value[instrument];
      if (!l) return null;
      const lost = line.value !== 'open' || now.value - l.at > LOST_AFTER_MS;
      return { ...l.heard, lost, ago: Math.max(0, Math.round((now.value - l.at) / 1000)) };
    });
  return { line, use, calliper: of('calliper'), scale: of('scale') };
});
