/** "8.0°", or "7.75°" where a quarter degree was measured. */
export function formatDegrees(deg: number): string {
  const tenths = deg.toFixed(1);
  const text = Math.abs(Number(tenths) - deg) > 0.02 ? deg.toFixed(2) : tenths;
  return `${text.replace('-', '−')}°`;
}
