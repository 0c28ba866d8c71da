import { useResizeObserver } from '@vueuse/core';
import { reactive, type Ref } from 'vue';

/** Size of an element as it is laid out, for drawings that are set in px; the last one while it is not laid out at all. */
export function useSize(element: Ref<HTMLElement | undefined>) {
  const size = reactive({ width: 640, height: 420 });
  useResizeObserver(element, ([entry]) => {
    if (!entry || entry.contentRect.width === 0) return;
    size.width = entry.contentRect.width;
    size.height = entry.contentRect.height;
  });
  return size;
}
