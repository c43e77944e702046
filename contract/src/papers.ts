/** What a print run may hold of each player. */
export const PAPERS = ['sheet', 'swaps', 'card', 'tickets'] as const;
export type PaperName = (typeof PAPERS)[number];
