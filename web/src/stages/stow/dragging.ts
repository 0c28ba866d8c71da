import { draggable, dropTargetForElements } from '@atlaskit/pragmatic-drag-and-drop/element/adapter';
import { onBeforeUnmount, onMounted, ref, type Ref } from 'vue';

/** Lets an element be dragged as an item of the kit. */
export function useDraggable(element: Ref<HTMLElement | undefined>, key: () => string) {
  const held = ref(false);
  let stop: (() => void) | undefined;
  onMounted(() => {
    if (!element.value) return;
    stop = draggable({
      element: element.value,
      getInitialData: () => ({ item: key() }),
      onDragStart: () => (held.value = true),
      onDrop: () => (held.value = false),
    });
  });
  onBeforeUnmount(() => stop?.());
  return held;
}

/** Lets an element take items that are dropped on it. */
export function useDropTarget(element: Ref<Element | undefined>, onItem: (key: string) => void) {
  const over = ref(false);
  let stop: (() => void) | undefined;
  onMounted(() => {
    if (!element.value) return;
    stop = dropTargetForElements({
      element: element.value,
      onDragEnter: () => (over.value = true),
      onDragLeave: () => (over.value = false),
      onDrop: ({ source }) => {
        over.value = false;
        const key = source.data['item'];
        if (typeof key === 'string') onItem(key);
      },
    });
  });
  onBeforeUnmount(() => stop?.());
  return over;
}
