import { draggable, dropTargetForElements } from '@atlaskit/pragmatic-drag-and-drop/element/adapter';
import { onBeforeUnmount, onMounted, type Ref } from 'vue';
import { held, over } from './held';

type Drop = (key: string, placeId: string) => void;
const drops = new Set<Drop>();
/** Hears of every drop that a finger makes; a mouse's drop goes to its target. */
export function useTouchDrops(drop: Drop): void {
  onMounted(() => drops.add(drop));
  onBeforeUnmount(() => drops.delete(drop));
}

const placeUnder = (x: number, y: number): string | null => {
  const target = document.elementFromPoint(x, y)?.closest('[data-place], [data-place-mark]');
  return target?.getAttribute('data-place') ?? target?.getAttribute('data-place-mark') ?? null;
};
/** So near the edge a finger scrolls what is under it, px. */
const EDGE = 56;

/** A finger on the grip carries the item: the browser's own dragging knows no touch everywhere, so it is followed here. */
function followFinger(grip: HTMLElement, key: () => string): () => void {
  let finger: number | null = null;
  const down = (event: PointerEvent) => {
    if (event.pointerType === 'mouse' || finger !== null) return;
    finger = event.pointerId;
    grip.setPointerCapture(finger);
    held.value = key();
    event.preventDefault();
  };
  const move = (event: PointerEvent) => {
    if (event.pointerId !== finger) return;
    over.value = placeUnder(event.clientX, event.clientY);
    const near = event.clientY < EDGE ? -1 : event.clientY > innerHeight - EDGE ? 1 : 0;
    if (near !== 0) grip.closest('.sheet, .stage')?.scrollBy({ top: near * 14 });
  };
  const up = (event: PointerEvent) => {
    if (event.pointerId !== finger) return;
    const to = event.type === 'pointerup' ? placeUnder(event.clientX, event.clientY) : null;
    const item = held.value;
    finger = null;
    held.value = null;
    over.value = null;
    if (to && item) drops.forEach((drop) => drop(item, to));
  };
  grip.addEventListener('pointerdown', down);
  grip.addEventListener('pointermove', move);
  grip.addEventListener('pointerup', up);
  grip.addEventListener('pointercancel', up);
  return () => {
    grip.removeEventListener('pointerdown', down);
    grip.removeEventListener('pointermove', move);
    grip.removeEventListener('pointerup', up);
    grip.removeEventListener('pointercancel', up);
  };
}

/** Lets an element be dragged as an item of the kit: by the mouse anywhere on it, by a finger on its grip. */
export function useDraggable(
  element: Ref<Element | undefined>,
  grip: Ref<Element | undefined>,
  key: () => string,
): void {
  let stops: (() => void)[] = [];
  onMounted(() => {
    if (element.value instanceof HTMLElement)
      stops.push(
        draggable({
          element: element.value,
          getInitialData: () => ({ item: key() }),
          onDragStart: () => (held.value = key()),
          onDrop: () => {
            held.value = null;
            over.value = null;
          },
        }),
      );
    if (grip.value) stops.push(followFinger(grip.value as HTMLElement, key));
  });
  onBeforeUnmount(() => {
    stops.forEach((stop) => stop());
    stops = [];
  });
}

/** Makes an element take items that a mouse drops on it. @returns what ends it */
export function dropTarget(element: Element, placeId: string, onItem: (key: string) => void): () => void {
  return dropTargetForElements({
    element,
    onDragEnter: () => (over.value = placeId),
    onDragLeave: () => {
      if (over.value === placeId) over.value = null;
    },
    onDrop: ({ source }) => {
      const key = source.data['item'];
      if (typeof key === 'string') onItem(key);
    },
  });
}
/** The same for a component's element. */
export function useDropTarget(
  element: Ref<Element | undefined>,
  placeId: () => string,
  onItem: (key: string) => void,
): void {
  let stop: (() => void) | undefined;
  onMounted(() => {
    if (element.value) stop = dropTarget(element.value, placeId(), onItem);
  });
  onBeforeUnmount(() => stop?.());
}
