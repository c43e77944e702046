export { TOUR_HANDICAP, handicapShare, usualSpreadShare, wholeAlongM, scatterOf } from './scatter.js';
export { HANDICAP_BOUNDS, type Skill, type SkillSource, skillOf } from './skill.js';
