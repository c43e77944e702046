import { mount } from '@vue/test-utils';
import { describe, expect, it } from 'vitest';
import FileField from '../../src/fields/FileField.vue';
import CalendarImport from '../../src/season/CalendarImport.vue';
import { freshPinia } from '../pinia';
import { until } from '../until';

const event = (name: string, ...lines: string[]) =>
  ['BEGIN:VEVENT', `UID:${name}`, `SUMMARY:${name}`, ...lines, 'END:VEVENT'].join('\r\n');
const calendar = (...events: string[]) =>
  new File([['BEGIN:VCALENDAR', 'VERSION:2.0', ...events, 'END:VCALENDAR', ''].join('\r\n')], 'year.ics');

describe('a calendar being imported', () => {
  it('is looked at first, by its days in words; what is over is there to be ticked and is not taken by itself', async () => {
    freshPinia();
    const view = mount(CalendarImport);
    view
      .getComponent(FileField)
      .vm.$emit(
        'file',
        calendar(
          event('Spring medal', 'DTSTART;VALUE=DATE:20200412'),
          event('Winter fours', 'DTSTART;VALUE=DATE:20991212', 'DTEND;VALUE=DATE:20991214'),
          event('Backwards', 'DTSTART;VALUE=DATE:20991220', 'DTEND;VALUE=DATE:20991218'),
        ),
      );
    const lines = () => view.findAll('li').map((line) => line.text().replace(/\s+/g, ' '));
    await until(() => expect(lines()).toHaveLength(3));
    expect(lines()).toEqual([
      'Spring medal 12 Apr 2020 is over',
      'Winter fours 12 Dec 2099 to 13 Dec 2099',
      expect.stringMatching(/^Backwards 20 Dec 2099 to .* ■ ends before it begins$/),
    ]);
    const ticked = () => view.findAll('[role=checkbox]').map((box) => box.attributes('aria-checked'));
    expect(ticked()).toEqual(['false', 'true']);
    expect(view.text()).toContain('Import 1 event');
    await view.findAll('[role=checkbox]')[0]!.trigger('click');
    expect(view.text()).toContain('Import 2 events');
  });
});
