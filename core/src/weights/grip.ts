/** One layer of tape under a grip makes it about 1/64 in thicker. Common practice, no source. */
const WRAP_IN = 1 / 64;

/** How much thicker so many wraps make a grip, inches, and the words for it: "1/32 in thicker than bare". */
export function gripThicker(wraps: number): { thickerIn: number; text: string } {
  const thickerIn = wraps * WRAP_IN;
  if (wraps === 0) return { thickerIn, text: 'no tape' };
  let [over, under] = [Math.round(wraps), 64];
  while (over % 2 === 0 && under > 1) [over, under] = [over / 2, under / 2];
  return { thickerIn, text: `about ${over}/${under} in thicker than bare` };
}
