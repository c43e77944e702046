import type { CourseView, EventView } from '@tasche/contract';
import { DOMWrapper, flushPromises, mount } from '@vue/test-utils';
import { beforeEach, describe, expect, it } from 'vitest';
import { useOutbox } from '../../src/changes/outbox';
import { freshRound } from '../../src/courses/fresh-round';
import { emptyCourse } from '../../src/courses/new-course';
import { isDraftKept } from '../../src/fields/kept-draft';
import FileField from '../../src/fields/FileField.vue';
import EventImport from '../../src/season/EventImport.vue';
import { IMPORT_FORM, importedEvents, importCommands, newPlaces } from '../../src/season/event-import';
import type { EventRow } from '../../src/season/event-row';
import { showSchedule } from '../sheet';
import { freshPinia } from '../pinia';
import { until } from '../until';

const row = (name: string, place: string, from: string, more: Partial<EventRow> = {}): EventRow => ({
  uid: '',
  name,
  place,
  from,
  to: from,
  zone: null,
  time: null,
  problem: null,
  note: null,
  ...more,
});
const course = (name: string): CourseView => ({ id: name, version: 1, removed: false, ...emptyCourse(name) });
const COURSES = [course('Skarvoy Links'), course('Hochfirn')];
let made = 0;
const newId = () => `id ${++made}`;
beforeEach(() => {
  made = 0;
});

describe('events of a list', () => {
  it('are played on the course they name, on one added by its name, or on the one that was chosen', () => {
    const plans = importedEvents(
      [
        row('Open', 'skarvoy links', '2027-03-12', { to: '2027-03-13', time: '08:00' }),
        row('Cup', 'Dunes', '2027-04-01', { time: '08:40', zone: 'Europe/Oslo' }),
        row('Fours', 'dunes', '2027-04-08'),
        row('Medal', '', '2027-05-01'),
      ],
      [],
      COURSES,
      '2026-11-30',
    );
    expect(plans.map(({ course: on }) => on?.name)).toEqual([
      'Skarvoy Links',
      undefined,
      undefined,
      undefined,
    ]);
    expect(newPlaces(plans)).toEqual(['Dunes']);
    const commands = importCommands(plans, newPlaces(plans), COURSES[1], newId);
    expect(commands.map((command) => command.do)).toEqual([
      'addCourse',
      'addEvent',
      'addEvent',
      'addEvent',
      'addEvent',
    ]);
    const events = commands.flatMap((command) => (command.do === 'addEvent' ? [command.event] : []));
    const rounds = events.map((event) =>
      event.rounds.map(({ day, courseId, teeTime }) => [day, courseId, teeTime]),
    );
    expect(rounds).toEqual([
      [
        ['2027-03-12', 'Skarvoy Links', undefined],
        ['2027-03-13', 'Skarvoy Links', undefined],
      ],
      [['2027-04-01', 'id 1', '08:40']],
      [['2027-04-08', 'id 1', undefined]],
      [['2027-05-01', 'Hochfirn', undefined]],
    ]);
    expect(events[1]!.zone).toBe('Europe/Oslo');
    // Without a course for it an event is left.
    expect(importCommands(plans, [], undefined, newId)).toHaveLength(1);
  });

  it('move the event that is here already, but never one that is to come to last year’s day', () => {
    const cup: EventView = {
      id: 'cup',
      version: 4,
      removed: false,
      name: 'Cup',
      rounds: ['2027-03-05', '2027-03-06'].map((day) =>
        freshRound({ id: day, name: day, day, courseId: 'Hochfirn', tee: 0 }, COURSES[1]!),
      ),
      zone: null,
      limits: { clubs: 14, lengthIn: 48 },
      notes: '',
    };
    const does = (one: EventRow) => importedEvents([one], [cup], COURSES, '2026-11-30')[0]!;
    const plan = does(row('cup', '', '2027-03-12', { to: '2027-03-13' }));
    expect(plan.does).toBe('move');
    expect(importCommands([plan], [], undefined, newId)).toMatchObject([
      {
        do: 'editEvent',
        eventId: 'cup',
        version: 4,
        set: { rounds: [{ day: '2027-03-12' }, { day: '2027-03-13' }] },
      },
    ]);
    expect(does(row('Cup', '', '2027-03-05')).does).toBe('same');
    expect(does(row('Cup', '', '2026-03-06')).does).toBe('make');
    expect(does(row('Cup', '', '2027-03-12', { problem: 'has no date' })).does).toBe('no');
  });
});

describe('the import of events', () => {
  const lines = (view: ReturnType<typeof mount>) =>
    view.findAll('li').map((line) => line.text().replace(/\s+/g, ' '));
  const ticked = (view: ReturnType<typeof mount>) =>
    view.findAll('li [role=checkbox]').map((box) => box.attributes('aria-checked'));
  const vevent = (name: string, ...more: string[]) =>
    ['BEGIN:VEVENT', `UID:${name}`, `SUMMARY:${name}`, ...more, 'END:VEVENT'].join('\r\n');
  const calendar = (...events: string[]) =>
    new File([['BEGIN:VCALENDAR', 'VERSION:2.0', ...events, 'END:VCALENDAR', ''].join('\r\n')], 'year.ics');
  beforeEach(() => {
    freshPinia();
    showSchedule({ courses: COURSES });
  });

  it('of a calendar: looked at first, by days in words; what is over is there to be ticked and is not taken by itself', async () => {
    const view = mount(EventImport);
    view
      .getComponent(FileField)
      .vm.$emit(
        'file',
        calendar(
          vevent('Spring medal', 'DTSTART;VALUE=DATE:20200412'),
          vevent(
            'Winter fours',
            'DTSTART;VALUE=DATE:20991212',
            'DTEND;VALUE=DATE:20991214',
            'LOCATION:Hochfirn\\, Peak Road 1',
          ),
          vevent('Backwards', 'DTSTART;VALUE=DATE:20991220', 'DTEND;VALUE=DATE:20991218'),
        ),
      );
    await until(() => expect(lines(view)).toHaveLength(3));
    expect(lines(view)).toEqual([
      'Spring medal 12 Apr 2020 is over',
      'Winter fours 12 Dec 2099 to 13 Dec 2099 on Hochfirn',
      expect.stringMatching(/^Backwards 20 Dec 2099 to .* ■ ends before it begins$/),
    ]);
    expect(ticked(view)).toEqual(['false', 'true']);
    expect(view.text()).toContain('Import 1 event');
    await view.findAll('[role=checkbox]')[0]!.trigger('click');
    expect(view.text()).toContain('Choose the course of 1 event first');
    expect(view.text()).toContain('Import 2 events');
  });

  it('of a list: read as it is typed, with its own courses added and what is ignored said', async () => {
    const view = mount(EventImport);
    const list = view.get<HTMLTextAreaElement>('textarea');
    await list.setValue('Club year\n12-15 Mar 2099 Open, Dunes\n3/4 2099 Medal\nTBC Cup');
    expect(lines(view)).toEqual([
      'Open 12 Mar 2099 to 15 Mar 2099 at Dunes, which is no course here yet',
      expect.stringMatching(/^Medal [43] (Mar|Apr) 2099$/),
      'TBC Cup ■ has no date',
    ]);
    expect(view.text()).toContain('Ignored: Club year.');
    expect(view.text()).toContain('In dates like 3/4 the first number is');
    expect(view.text()).toContain('Add 1 course by name, holes to follow: Dunes');
    expect(view.text()).toContain('Choose the course of 1 event first');
    // A reload in the middle loses nothing.
    expect(isDraftKept(IMPORT_FORM)).toBe(true);
    const again = mount(EventImport);
    expect(lines(again)).toHaveLength(3);
    again.unmount();
    await list.setValue('12-15 Mar 2099 Open, Dunes');
    await view
      .findAll('button')
      .find((button) => button.text() === 'Import 1 event')!
      .trigger('click');
    await flushPromises();
    expect(useOutbox().pending('circuit')).toMatchObject([
      { do: 'addCourse', course: { name: 'Dunes', holes: [] } },
      { do: 'addEvent', event: { name: 'Open' } },
    ]);
    expect(view.emitted('leave')).toEqual([[[]]]);
    expect(isDraftKept(IMPORT_FORM)).toBe(false);
  });

  it('on a player’s season: plans what is made for them, if it is wanted and there is a gamer', async () => {
    const player = { id: 'p', name: 'Ana', hasGamer: true };
    const press = async (view: ReturnType<typeof mount>, text: string) => {
      const button = view.findAll('button').find((one) => one.text() === text)!;
      await button.trigger('click');
    };
    const view = mount(EventImport, { props: { player } });
    await view.get('textarea').setValue('12-15 Mar 2099 Ana Open @ Hochfirn');
    expect(view.text()).toContain('Plan them for Ana from the gamer bag');
    await press(view, 'Import 1 event');
    const event = useOutbox().pending('circuit').at(-1);
    expect(view.emitted('leave')).toMatchObject([
      [
        [
          {
            do: 'addPlan',
            plan: {
              playerId: 'p',
              eventId: event!.do === 'addEvent' && event!.event.id,
              name: 'Ana Open',
              course: 'Hochfirn',
              startsOn: '2099-03-12',
              endsOn: '2099-03-15',
            },
          },
        ],
      ],
    ]);

    const without = mount(EventImport, { props: { player } });
    await without.get('textarea').setValue('1 Apr 2099 Ana Cup @ Hochfirn');
    await without.findAll('[role=checkbox]').at(-1)!.trigger('click');
    await press(without, 'Import 1 event');
    expect(without.emitted('leave')).toEqual([[[]]]);

    const bagless = mount(EventImport, { props: { player: { ...player, hasGamer: false } } });
    await bagless.get('textarea').setValue('2 Apr 2099 Ana Fours @ Hochfirn');
    expect(bagless.text()).not.toContain('Plan them');
  });

  it('of a file that is a list puts it where it can be corrected; what is none is said', async () => {
    const view = mount(EventImport, { attachTo: document.body });
    view.getComponent(FileField).vm.$emit('file', new File(['1 May 2099 Cup @ Hochfirn'], 'year.txt'));
    await until(() => expect(lines(view)).toEqual(['Cup 1 May 2099 on Hochfirn']));
    expect(view.get('textarea').element.value).toBe('1 May 2099 Cup @ Hochfirn');
    view.getComponent(FileField).vm.$emit('file', new File(['nothing of a year'], 'year.csv'));
    await until(() => expect(view.text()).toContain('No line of this list'));
    view.getComponent(FileField).vm.$emit('file', new File(['BEGIN:VCARD\r\nEND:VCARD'], 'year.ics'));
    await until(() => expect(new DOMWrapper(document.body).text()).toContain('it holds no calendar'));
    view.unmount();
  });
});
