/**
 * Where weight on a head may be moved to, and which way the flight moves with it. Rules of thumb: common
 * practice, no source; heads differ.
 */
export const WEIGHT_DIRECTIONS: readonly { to: string; does: string }[] = [
  { to: 'the heel', does: 'the face shuts sooner: the flight moves to the player’s inside (a draw)' },
  { to: 'the toe', does: 'the face shuts later: the flight moves to the player’s outside (a fade)' },
  { to: 'the back', does: 'a little higher with more spin, steadier on a miss' },
  { to: 'the front', does: 'a little lower with less spin, less steady on a miss' },
];

/** Both schools of wedge shafts are sane; neither is recommended. */
export const WEDGE_SHAFT_SCHOOLS =
  'Wedge shafts: the same as the irons’ for clubs hit full, or heavier or softer for clubs hit in part; both are sane.';
