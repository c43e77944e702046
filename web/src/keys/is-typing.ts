/** Whether a key press belongs to a field being edited. */
export function isTyping(event: Event): boolean {
  const target = event.target;
  if (!(target instanceof HTMLElement)) return false;
  return target.isContentEditable || ['INPUT', 'TEXTAREA'].includes(target.tagName) || isChoice(target);
}

/** A closed list of choices: letters choose in it. */
function isChoice(target: HTMLElement): boolean {
  return target.tagName === 'DIV' && target.getAttribute('role') === 'combobox';
}

/**
 * Whether undo belongs to the field: somebody has begun to write in it, or it is one that holds its text
 * alone. A list, a tick, or a field that stands as it was written (`data-untouched`) has nothing of its own
 * to take back.
 */
export function isUndoOfField(event: Event): boolean {
  const target = event.target;
  if (!isTyping(event) || !(target instanceof HTMLElement) || isChoice(target)) return false;
  return (
    !('untouched' in target.dataset) &&
    !(target instanceof HTMLInputElement && ['checkbox', 'radio'].includes(target.type))
  );
}
