import { onBeforeUnmount, onMounted, reactive, type Ref } from 'vue';

/** Size of an element as it is laid out, for drawings that are set in px. */
export function useSize(element: Ref<HTMLElement | undefined>) {
  const size = reactive({ width: 640, height: 420 });
  let observer: ResizeObserver | undefined;
  onMounted(() => {
    observer = new ResizeObserver(([entry]) => {
      if (!entry || entry.contentRect.width === 0) return;
      size.width = entry.contentRect.width;
      size.height = entry.contentRect.height;
    });
    if (element.value) observer.observe(element.value);
  });
  onBeforeUnmount(() => observer?.disconnect());
  return size;
}
