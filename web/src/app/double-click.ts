/** What is pressed; a choice in a list or a menu is one too, and gone when it was made. */
const PRESSED = [
  ...['button', 'a[href]', 'input', 'label', 'summary', '.n-dropdown-option'],
  ...['button', 'checkbox', 'radio', 'switch', 'option', 'menuitem'].map((role) => `[role="${role}"]`),
].join();

/**
 * Where the first click of a double click takes away what was pressed (a row is deleted, a form closes), the second
 * falls on what moved there, and was not meant for it: it is not passed on. Nor is it on a button with `data-once`,
 * for what two clicks would do twice: a stepper is pressed quickly on purpose, "Add a course" is not.
 * @returns ends it
 */
export function keepDoubleClicksTogether(on: Document): () => void {
  let pressed: Element | null = null;
  const onClick = (event: MouseEvent) => {
    const now = event.target instanceof Element ? event.target.closest(PRESSED) : null;
    // How many clicks came at one place in short order; none where a key did it.
    if (event.detail >= 2 && pressed && now && (now !== pressed || now.matches('[data-once]'))) {
      event.preventDefault();
      event.stopImmediatePropagation();
      return;
    }
    pressed = now;
  };
  on.addEventListener('click', onClick, { capture: true });
  return () => {
    on.removeEventListener('click', onClick, { capture: true });
  };
}
