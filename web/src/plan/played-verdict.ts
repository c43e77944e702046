/** Two bags by rounds that were played, and by the plan's needs; strokes a round the second costs more. */
interface PlayedAgainst {
  difference: number;
  /** Half the 95 % interval of `difference`; null or left out where it is not known. */
  plusMinus?: number | null | undefined;
  claim: number;
}

/** Whether the rounds played confirm which of the two bags the plan calls better. */
export function playedVerdict({ difference, plusMinus, claim }: PlayedAgainst): string {
  if (Math.abs(difference) <= (plusMinus ?? Infinity)) return 'The rounds played cannot tell them apart.';
  return Math.sign(difference) === Math.sign(claim)
    ? 'The rounds played agree on which is better.'
    : 'The rounds played say the opposite: do not rely on this difference.';
}
