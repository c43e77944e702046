import type { SleevePosition } from '../bend/index.js';
import { formatDegrees } from '../units/index.js';

/** "loft up 1.0°, face shut 1.0°, lie 0.5° up": what a turn does, its direction spelled out. */
export function turnWords(from: SleevePosition, to: SleevePosition): string {
  const loft = to.loftDeg - from.loftDeg;
  const face = to.faceShutDeg - from.faceShutDeg;
  const lie = to.lieDeg - from.lieDeg;
  const parts = [
    loft !== 0 && `loft ${loft > 0 ? 'up' : 'down'} ${formatDegrees(Math.abs(loft))}`,
    face !== 0 && `face ${face > 0 ? 'shut' : 'open'} ${formatDegrees(Math.abs(face))}`,
    lie !== 0 && `lie ${formatDegrees(Math.abs(lie))} ${lie > 0 ? 'up' : 'down'}`,
  ].filter((part) => part !== false);
  return parts.length > 0 ? parts.join(', ') : 'nothing moves';
}
