/** Keeps a thread busy for some milliseconds. */
export default function spin(ms: number): number {
  for (const start = Date.now(); Date.now() - start < ms;) {
    /* busy */
  }
  return ms;
}
