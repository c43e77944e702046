import type { ClubView } from '@tasche/contract';
import { describe, expect, it } from 'vitest';
import { buildRows, labelWords, missingOf } from '../../src/bench/build-rows';

const TAKEN = { takenOn: '2026-11-02', by: 'Jonas Brandl' };
const club = (kind: ClubView['kind'], spec: object) => ({ kind, spec }) as unknown as ClubView;
const keys = (of: ClubView) => buildRows(of).flatMap(({ rows }) => rows.map(({ key }) => key as string));

describe('the sheet of a build', () => {
  it('has the rows of its kind, and others only where something was written', () => {
    expect(keys(club('putter', {}))).toContain('toeHangDeg');
    expect(keys(club('iron', {}))).not.toContain('toeHangDeg');
    expect(keys(club('driver', {}))).toContain('setting');
    expect(keys(club('wedge', {}))).not.toContain('setting');
    expect(keys(club('wedge', { setting: { ...TAKEN, value: 'N' } }))).toContain('setting');
    expect(keys(club('wedge', {}))).toContain('grind');
  });

  it('shows what is known with its unit and day, and names what is needed to build it again', () => {
    const groups = buildRows(
      club('wedge', {
        loftSetDeg: { ...TAKEN, value: 46 },
        lengthIn: { ...TAKEN, value: 35.5 },
        swingWeight: { ...TAKEN, value: 'D4' },
      }),
    );
    const loft = groups.flatMap(({ rows }) => rows).find(({ key }) => key === 'loftSetDeg');
    expect(loft).toEqual({ key: 'loftSetDeg', label: 'Loft', value: '46.0°', since: '2026-11-02' });
    const missing = missingOf(groups).map(({ key }) => key as string);
    expect(missing).toContain('lieSetDeg');
    expect(missing).not.toContain('loftSetDeg');
    expect(missing).not.toContain('grind');
    expect(labelWords(groups)).toMatch(/^46\.0° · 35\.50?\D* · D4$/);
  });

  it('of a club of which nothing is known has an empty label', () => {
    expect(labelWords(buildRows(club('iron', {})))).toBe('');
  });
});
