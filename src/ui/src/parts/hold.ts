import { onUnmounted, ref } from 'vue';

const holdMs = 800;
const felt = 60;

/** A button that acts when it is held: what cannot be called back is not done by a slip. The key of the keyboard is held likewise. */
export function useHold(act: () => void) {
  const pressing = ref(false);
  let timer: ReturnType<typeof setTimeout> | undefined;
  const letGo = () => {
    clearTimeout(timer);
    pressing.value = false;
  };
  const press = () => {
    letGo();
    pressing.value = true;
    timer = setTimeout(() => {
      letGo();
      if ('vibrate' in navigator) navigator.vibrate(felt);
      act();
    }, holdMs);
  };
  const key = (event: KeyboardEvent) => {
    if (event.key !== 'Enter' && event.key !== ' ') return;
    event.preventDefault();
    if (!event.repeat) press();
  };
  onUnmounted(letGo);
  const on = {
    pointerdown: press,
    pointerup: letGo,
    pointerleave: letGo,
    pointercancel: letGo,
    contextmenu: (event: Event) => event.preventDefault(),
    keydown: key,
    keyup: letGo,
  };
  return { pressing, on };
}
