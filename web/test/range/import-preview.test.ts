import { SUMMARY_ROW, type ClubMatch, type StrikeImportReport } from '@tasche/contract';
import { mount } from '@vue/test-utils';
import { beforeEach, describe, expect, it } from 'vitest';
import { carriesBeside, unitDoubt } from '../../src/range/import-carries';
import ImportPreview from '../../src/range/ImportPreview.vue';
import { clubView, sheetOf, showSheet } from '../sheet';
import { freshPinia } from '../pinia';

const CLUBS = [clubView('7', { carryM: 150 }), clubView('8', { carryM: 140 }), clubView('9')];
const full = (clubId: string): ClubMatch => ({ clubId, shot: 'full' });
const share = (...shares: number[]) =>
  unitDoubt(shares.map((one) => ({ fileM: one, sheetM: 1, share: one })));

describe('the carries of a file beside the sheet', () => {
  const byId = new Map(CLUBS.map((club) => [club.id, club]));

  it('are of the same club and shot, and nothing where either is not known', () => {
    expect(carriesBeside({ carryM: 165 }, full('7'), byId)).toEqual({ fileM: 165, sheetM: 150, share: 1.1 });
    expect(carriesBeside({ carryM: 165 }, { clubId: '7', shot: 'soft' }, byId).share).toBeNull();
    expect(carriesBeside({ carryM: 165 }, full('9'), byId).share).toBeNull();
    expect(carriesBeside({ carryM: null }, full('7'), byId).share).toBeNull();
    expect(carriesBeside({ carryM: 165 }, null, byId)).toEqual({ fileM: 165, sheetM: null, share: null });
  });

  it('give a doubt of their unit away, over the middle of all clubs', () => {
    expect(share(0.98, 1, 1.03)).toBeUndefined();
    expect(share()).toBeUndefined();
    expect(share(1.09, 1.1, 1.07)).toContain('as yards are that are read as metres');
    expect(share(0.91, 0.92, 0.9)).toContain('as metres are that are read as yards');
    expect(share(3.28)).toContain('Is their unit right?');
    // One club that has grown is no doubt about a file.
    expect(share(1, 1.01, 1.3)).toBeUndefined();
  });
});

describe('the preview of a file', () => {
  beforeEach(() => {
    freshPinia();
    showSheet(sheetOf(CLUBS, ['7', '8', '9']));
  });
  const report = (labels: StrikeImportReport['labels'], more: Partial<StrikeImportReport> = {}) => ({
    rows: 30,
    taken: 30,
    duplicates: 0,
    otherClubs: 0,
    refused: 0,
    otherPlayers: 0,
    players: [],
    refusals: [],
    reasons: [],
    labels,
    days: [{ day: '2026-11-18', rows: 30 }],
    changeId: null,
    ...more,
  });
  const preview = (of: StrikeImportReport) => {
    const matches = new Map(of.labels.map(({ label, match }) => [label, match]));
    return mount(ImportPreview, {
      props: {
        report: of,
        unit: 'm' as const,
        isOfOneClub: false,
        clubOf: (label: string) => matches.get(label) ?? null,
      },
    });
  };

  it('says what each club carries in it and on the sheet, and that all of them are too long', () => {
    const view = preview(
      report([
        { label: '7i', rows: 20, match: full('7'), carryM: 164 },
        { label: '8i', rows: 10, match: full('8'), carryM: 153 },
      ]),
    );
    expect(view.get('tbody tr').text()).toContain('164');
    expect(view.get('tbody tr').text()).toContain('150');
    expect(view.text()).toContain('30 to import');
    expect(view.get('.warning').text()).toContain('yards are that are read as metres');
  });

  it('counts what is new in it; once a club is said otherwise, at most so many', async () => {
    const labels = [
      { label: '7i', rows: 20, match: full('7'), carryM: 150 },
      { label: 'Drv', rows: 10, match: null, carryM: 220 },
    ];
    const view = preview(report(labels, { taken: 17, duplicates: 3 }));
    expect(view.text()).toContain('17 to import, 3 known already or twice in the file');
    await view.setProps({ clubOf: () => full('8') });
    expect(view.text()).toContain('at most 30 to import');
    expect(preview(report(labels, { taken: 0, duplicates: 20 })).text()).toContain('0 to import, 20 known');
  });

  it('calls rows without a club what they are, beside others and alone', () => {
    const named = preview(
      report(
        [
          { label: '7i', rows: 1, match: full('7'), carryM: 150 },
          { label: '', rows: 2, match: null, carryM: 151 },
        ],
        { days: [] },
      ),
    );
    expect(named.findAll('tbody th').map((head) => head.text())).toEqual(['7i', 'no club named']);
    expect(named.text()).not.toContain('on 0 days');
    expect(named.find('.warning').exists()).toBe(false);
  });

  it('counts only what is of a club, and lists what cannot be taken', async () => {
    const view = preview(
      report([{ label: '', rows: 30, match: null, carryM: null }], {
        refused: 1,
        refusals: [{ line: 4, column: 'Carry', text: 'abc', reason: 'is not a number' }],
      }),
    );
    expect(view.text()).toContain('0 to import');
    expect(view.text()).toContain('is not a number');
    expect(view.get('.warning').text()).toContain('Say which club it is');
    await view.get('.title button').trigger('click');
    expect(view.emitted('saveRefusals')).toHaveLength(1);
  });

  it('counts the averages of a file quietly, and not among what is wrong', () => {
    const average = (line: number) => ({ line, column: '', text: '', reason: SUMMARY_ROW });
    const labels = [{ label: '7i', rows: 20, match: full('7'), carryM: 150 }];
    const onlyThese = preview(
      report(labels, {
        refused: 2,
        refusals: [average(22), average(23)],
        reasons: [{ column: '', reason: SUMMARY_ROW, count: 2 }],
      }),
    );
    expect(onlyThese.text()).toContain('2 lines of averages and the like left out');
    expect(onlyThese.find('.error').exists()).toBe(false);
    expect(onlyThese.text()).not.toContain('Not imported');

    const andAnother = preview(
      report(labels, {
        refused: 3,
        refusals: [{ line: 4, column: 'Carry', text: 'abc', reason: 'is not a number' }, average(22)],
        reasons: [
          { column: '', reason: SUMMARY_ROW, count: 2 },
          { column: 'Carry', reason: 'is not a number', count: 1 },
        ],
      }),
    );
    expect(andAnother.get('.error').text()).toContain('1 that cannot be imported');
    expect(andAnother.text()).not.toContain('a line about the shots');
  });
});
