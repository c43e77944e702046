import type { StrikePart } from '@tasche/core';
import { DISTANCE_UNITS, SPEED_UNITS, type StrikeUnit } from './strike-units.js';

/** What a column of a launch monitor's file may hold. */
export type StrikeField = StrikePart | 'smash' | 'sideSpinRpm' | 'club' | 'player' | 'shot' | 'at' | 'time';

interface FieldKind {
  field: StrikeField;
  label: string;
  units: readonly StrikeUnit[];
}

export const STRIKE_FIELDS: readonly FieldKind[] = [
  { field: 'clubSpeedMps', label: 'Club speed', units: SPEED_UNITS },
  { field: 'ballSpeedMps', label: 'Ball speed', units: SPEED_UNITS },
  { field: 'smash', label: 'Smash', units: [] },
  { field: 'attackDeg', label: 'Attack angle', units: ['deg'] },
  { field: 'spinAxisDeg', label: 'Spin axis', units: ['deg'] },
  { field: 'sideSpinRpm', label: 'Side spin', units: ['rpm'] },
  { field: 'spinRpm', label: 'Spin', units: ['rpm'] },
  { field: 'azimuthDeg', label: 'Start direction', units: ['deg'] },
  { field: 'launchDeg', label: 'Launch', units: ['deg'] },
  { field: 'descentDeg', label: 'Landing angle', units: ['deg'] },
  { field: 'apexM', label: 'Apex', units: ['ft', 'yd', 'm'] },
  { field: 'offlineM', label: 'Side', units: DISTANCE_UNITS },
  { field: 'totalM', label: 'Total', units: DISTANCE_UNITS },
  { field: 'carryM', label: 'Carry', units: DISTANCE_UNITS },
  { field: 'shot', label: 'Shot kind', units: [] },
  { field: 'player', label: 'Player', units: [] },
  { field: 'club', label: 'Club', units: [] },
  { field: 'at', label: 'Date (and time)', units: [] },
  { field: 'time', label: 'Time of day', units: [] },
];

const FIELD_OF = new Map(STRIKE_FIELDS.map((kind) => [kind.field, kind]));

export function strikeField(field: StrikeField): FieldKind {
  return FIELD_OF.get(field)!;
}
