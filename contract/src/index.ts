export * from './basket-document.js';
export * from './bend-document.js';
export * from './remedies-document.js';
export * from './json-limits.js';
export * from './renamed-fields.js';
export * from './problem.js';
export * from './schemas.js';
export * from './limits.js';
export * from './commands/define-command.js';
export * from './commands/commands.js';

export { datesInOrder, planDetails } from './commands/plan/plan-details.js';
export { rebased } from './commands/plan/rebase-plan.js';
export type { PlayerSet } from './commands/player/edit-player.js';
export * from './views.js';
export * from './session-views.js';
export * from './roster-views.js';
export * from './history-views.js';
export * from './numbers-in-text.js';
export * from './days-in-text.js';
export * from './head-words.js';
export * from './columns.js';
export * from './cells.js';
export * from './club-rows.js';
export { clubsOfSet } from './club-set.js';
export { missingOfSet } from './set-rows.js';
export * from './club-text.js';
export * from './several-players.js';
export * from './split-table.js';
export * from './sheet-csv.js';
export * from './sheet-json.js';
export * from './gaps-document.js';
export * from './gap-setting-fields.js';
export * from './ladder-clubs.js';
export * from './setting-schemas.js';
export * from './flight-document.js';
export * from './carry-document.js';
export * from './conditions-document.js';
export * from './session-schemas.js';
export {
  type DeviceSession,
  type HitRequest,
  type MonitorLine,
  type ServerLine,
  MAX_LINE_CHARACTERS,
  SILENCE_MS,
  readMonitorLine,
  readServerLine,
  writeLine,
} from './monitor-lines.js';
export * from './gauge-lines.js';
export * from './club-labels.js';
export * from './strike-fields.js';
export * from './strike-heads.js';
export * from './strike-mapping.js';
export * from './strike-units.js';
export * from './strike-rows.js';
export * from './strike-import.js';
export * from './course-schemas.js';
export * from './event-schemas.js';
export * from './holes-geojson.js';
export * from './holes-table.js';
export type { ReadHoles } from './read-hole.js';
export { isScorecard } from './scorecard.js';
export * from './same-name.js';
export * from './weather.js';
export * from './plan-choosing.js';
export * from './choose-document.js';
export * from './needs-document.js';
export * from './travel-document.js';
export * from './round-request.js';
export * from './card-pages.js';
export * from './papers.js';
export * from './rounds-played.js';
export * from './round-played-schemas.js';
export * from './round-times.js';
export { DELETED_CLUB, beginning, clubName, theClub } from './club-name.js';
export * from './played-shots.js';
export * from './read-played-shots.js';
export * from './lie-words.js';
export { withoutListMarks } from './list-marks.js';
export { HOLE_WORDS } from './heads-in-other-languages.js';
export * from './put-back.js';
export * from './player-season.js';
export * from './season-occurrences.js';
export * from './in-freeze.js';
export * from './season-entries.js';
export * from './season-csv.js';
export { tripClubs } from './trip-clubs.js';
export * from './ball-schemas.js';
export * from './ticket-schemas.js';
export * from './wish-schemas.js';
export * from './roles.js';
export * from './people-schemas.js';
export * from './player-file.js';
export * from './read-player-file.js';
