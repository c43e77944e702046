export { TOUR_HANDICAP, handicapShare, usualSpreadShare, wholeAlongM, scatterOf } from './scatter.js';
export { HANDICAP_BOUNDS, skillOf, handicapText, skillWords } from './skill.js';
