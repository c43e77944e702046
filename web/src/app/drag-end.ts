/** The click of the browser's own follows the end of a drag within this time. */
const CLICK_WITHIN_MS = 50;

/**
 * To be called when a drag ends. The library swallows the click that follows; where the browser sends none, because
 * what was dragged is gone by then, it would swallow the next press of a button instead, so it is given one.
 */
export function afterDrag(): void {
  setTimeout(() => document.dispatchEvent(new MouseEvent('click')), CLICK_WITHIN_MS);
}
