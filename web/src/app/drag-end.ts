/**
 * To be called when a drag ends. The library swallows the click that follows; where the browser sends none, because
 * what was dragged is gone by then, it would swallow the next press of a button instead. So it is given a click as
 * the next press begins: by a timer it could come too late on a busy machine.
 */
export function afterDrag(): void {
  const begun = new AbortController();
  const giveClick = () => {
    begun.abort();
    document.dispatchEvent(new MouseEvent('click'));
  };
  for (const press of ['pointerdown', 'keydown'] as const)
    window.addEventListener(press, giveClick, { capture: true, signal: begun.signal });
}
