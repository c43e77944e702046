import { describe, expect, it } from 'vitest';
import { calcGaps } from '../src/gaps-document.js';
import { readMonitorLine } from '../src/monitor-lines.js';
import { withRenamedFields } from '../src/renamed-fields.js';

describe('fields that had another name', () => {
  it('are read under the one they have now, however deep they stand', () => {
    expect(
      withRenamedFields({
        clubs: [{ shots: { full: { carryM: 147, source: 'measured', shots: 20, landDeg: 46 } } }],
        settings: { eitherOrLandDeg: 4 },
        holes: [{ par: 4, riseM: -3, trouble: [{ kind: 'water', side: 'left', fromM: 200, toM: 240 }] }],
        mapping: { columns: [{ column: 4, field: 'sideM', unit: 'yd' }] },
      }),
    ).toEqual({
      clubs: [{ shots: { full: { carryM: 147, source: 'measured', sampleSize: 20, descentDeg: 46 } } }],
      settings: { eitherOrDescentDeg: 4 },
      holes: [
        { par: 4, elevationChangeM: -3, hazards: [{ kind: 'water', side: 'left', fromM: 200, toM: 240 }] },
      ],
      mapping: { columns: [{ column: 4, field: 'offlineM', unit: 'yd' }] },
    });
  });

  it('stay where the same word means something else, and what is new stays as it is', () => {
    const document = {
      after: { shots: [{ club: '7', carryM: 150 }] },
      trial: { shots: 30 },
      named: { name: 'trouble', notes: 'landDeg' },
      field: 'the field in front of the range',
      shot: { carryM: 1, source: 'stated', sampleSize: 3 },
      nothing: null,
      flag: true,
    };
    expect(withRenamedFields(document)).toEqual(document);
  });

  it('make the same answer of an old document as of a new one', () => {
    const bag = (shot: object) => ({
      clubs: [30, 34, 38, 42].map((loftDeg, i) => ({
        id: `${loftDeg}`,
        name: `${loftDeg}`,
        kind: 'iron',
        loftDeg,
        shots: { full: { carryM: 160 - 11 * i, source: 'measured', spreadM: 4, ...shot } },
      })),
    });
    const old = bag({ shots: 20, landDeg: 45 });
    expect(() => calcGaps(old)).toThrow();
    expect(calcGaps(withRenamedFields(old))).toEqual(calcGaps(bag({ sampleSize: 20, descentDeg: 45 })));
  });

  it('a monitor may go on saying', () => {
    const line = (part: object) =>
      JSON.stringify({
        type: 'strike',
        number: 1,
        at: '2026-11-27T10:00:00Z',
        club: '7',
        carryM: 150,
        ...part,
      });
    expect(readMonitorLine(line({ sideM: -3, landDeg: 44 }))).toEqual(
      readMonitorLine(line({ offlineM: -3, descentDeg: 44 })),
    );
  });

  it('do not take the place of the one that is there: both together are refused', () => {
    const both = { carryM: 150, source: 'measured', shots: 20, sampleSize: 12, landDeg: 40, descentDeg: 45 };
    expect(withRenamedFields(both)).toEqual(both);
  });

  it('a document far too deep is handed on for its schema to refuse', () => {
    let deep: unknown = { landDeg: 1 };
    for (let i = 0; i < 5000; i++) deep = [deep];
    expect(() => withRenamedFields(deep)).not.toThrow();
  });
});
