/**
 * Keeps the lines of a pasted text apart in a field of one line, which drops line ends: two numbers would become
 * one. Text of one line is left to the browser.
 * @param between stands where lines ended
 */
export function pasteLines(event: ClipboardEvent, between: string): void {
  const text = event.clipboardData?.getData('text/plain') ?? '';
  const field = event.target;
  if (!/[\r\n]/.test(text.trim()) || !(field instanceof HTMLInputElement)) return;
  event.preventDefault();
  const lines = text
    .split(/[\r\n]+/)
    .map((line) => line.trim())
    .filter((line) => line !== '');
  field.setRangeText(lines.join(between), field.selectionStart ?? 0, field.selectionEnd ?? 0, 'end');
  field.dispatchEvent(new Event('input', { bubbles: true }));
}
