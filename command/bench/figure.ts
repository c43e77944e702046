/** One figure beside what was wanted. */
export function report(what: string, figure: string, wanted: string, met: boolean): void {
  console.log(`${met ? 'met   ' : 'MISSED'}  ${what}: ${figure}  (wanted: ${wanted})`);
}

export function percentile(values: readonly number[], share: number): number {
  const sorted = [...values].sort((a, b) => a - b);
  return sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))]!;
}
