/** A player owns 20 to 40 clubs; this is where a list stops being a locker. */
export const MAX_CLUBS_A_PLAYER = 200;
/** Bags a player keeps that belong to no plan. */
export const MAX_BAGS_A_PLAYER = 1500;
/** Two a week for fifty years. */
export const MAX_PLANS_A_PLAYER = 5000;
/** Jobs for the bench, the done ones with them; the oldest are deleted by hand. */
export const MAX_TICKETS_A_PLAYER = 2000;
export const MAX_WISHES_A_PLAYER = 200;
/** Rounds recorded that belong to no event: all of them stand on the sheet. */
export const MAX_ROUNDS_A_PLAYER = 300;
/** Balls a player has played, with the day each was taken up. */
export const MAX_BALLS_A_PLAYER = 100;
export const MAX_PLAYERS = 5000;
