/** A player owns 20 to 40 clubs; this is where a list stops being a locker. */
export const MAX_CLUBS_A_PLAYER = 200;
/** Bags a player keeps that belong to no plan. */
export const MAX_BAGS_A_PLAYER = 1500;
/** Two a week for fifty years. */
export const MAX_PLANS_A_PLAYER = 5000;
export const MAX_PLAYERS = 5000;
