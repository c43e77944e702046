/**
 * What a hole and a player are called in lists, in English, German, French, Spanish, Italian, Portuguese, Swedish,
 * Danish and Norwegian; from memory, no source.
 */
export const HOLE_WORDS = 'holes?|loch|bahn|trou|hoyo|buca|buraco|hål|hul|hull';
export const PLAYER_WORDS =
  'player|golfer|athlete|client|customer|member|student|spieler|joueur|joueuse|jugador|giocatore|jogador|speler|spelare|spiller';
