/** What a press is meant for. */
const PRESSED = ['button', 'a[href]', '[role="option"]', '[role="menuitem"]'].join();
/** A hand that presses moves no further than this; one that goes on takes the press back. */
const HELD_STILL_PX = 4;

/**
 * An answer that comes between press and release moves what is below it, and the browser then gives the click to
 * whatever lies under the pointer, or to nothing. It goes to what was pressed, if that is still there.
 * @returns ends it
 */
export function keepPressesThatMove(on: Window): () => void {
  let pressed: { on: HTMLElement; x: number; y: number } | null = null;
  const onDown = ({ target, button, clientX, clientY }: PointerEvent) => {
    const meant = button === 0 && target instanceof Element && target.closest<HTMLElement>(PRESSED);
    pressed = meant ? { on: meant, x: clientX, y: clientY } : null;
  };
  const onClick = (event: MouseEvent) => {
    // A click that a key or a script made is no end of a press.
    if (event.detail === 0) return;
    const press = pressed;
    pressed = null;
    if (!press?.on.isConnected) return;
    if (event.target instanceof Node && press.on.contains(event.target)) return;
    if (Math.hypot(event.clientX - press.x, event.clientY - press.y) > HELD_STILL_PX) return;
    event.preventDefault();
    event.stopImmediatePropagation();
    press.on.click();
  };
  on.addEventListener('pointerdown', onDown, { capture: true });
  on.addEventListener('click', onClick, { capture: true });
  return () => {
    on.removeEventListener('pointerdown', onDown, { capture: true });
    on.removeEventListener('click', onClick, { capture: true });
  };
}
