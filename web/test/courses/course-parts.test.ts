import type { CourseView, SeasonView } from '@tasche/contract';
import { toMetres, type Hole } from '@tasche/core';
import { flushPromises, mount } from '@vue/test-utils';
import { describe, expect, it } from 'vitest';
import { defineComponent, h, nextTick } from 'vue';
import CourseFields from '../../src/courses/CourseFields.vue';
import CourseFile from '../../src/courses/CourseFile.vue';
import { provideReadOnly } from '../../src/fields/read-only';
import ChoiceField from '../../src/fields/ChoiceField.vue';
import CourseHoles from '../../src/courses/CourseHoles.vue';
import CourseSeasons from '../../src/courses/CourseSeasons.vue';
import HoleTable from '../../src/courses/HoleTable.vue';
import SeasonYear from '../../src/courses/SeasonYear.vue';
import type { CourseText } from '../../src/courses/course-file';
import { newCourse, usualHoles } from '../../src/courses/new-course';

const course = (more: Partial<CourseView> = {}): CourseView => ({
  ...newCourse([]),
  id: 'c',
  version: 1,
  removed: false,
  ...more,
});

describe('a new course', () => {
  it('has a name that is free, and usual holes of seventy-two or thirty-six', () => {
    expect(newCourse(['New course', 'New course 2']).name).toBe('New course 3');
    const holes = usualHoles(18, 2);
    expect(holes.reduce((sum, { par }) => sum + par, 0)).toBe(72);
    expect(usualHoles(9, 1).reduce((sum, { par }) => sum + par, 0)).toBe(36);
    expect(holes.every(({ lengthsM }) => lengthsM.length === 2)).toBe(true);
  });
});

describe('the fields of a course', () => {
  const fields = (unit: 'yd' | 'm', more: Partial<CourseView> = {}) =>
    mount(CourseFields, { props: { course: course(more), unit } });
  const type = async (view: ReturnType<typeof fields>, label: string, text: string) => {
    const field = view.get(`input[aria-label="${label}"]`);
    await field.setValue(text);
    await field.trigger('change');
    await field.trigger('blur');
  };

  it('take an altitude in feet where distances are yards', async () => {
    const view = fields('yd', { altitudeM: 1520 });
    expect((view.get('input[aria-label="Altitude"]').element as HTMLInputElement).value).toBe('4987');
    await type(view, 'Altitude', '5000');
    const [part] = view.emitted('set')!.at(-1) as [Partial<CourseView>];
    expect(part.altitudeM).toBeCloseTo(toMetres(5000, 'ft'), 6);
  });

  it('have the name of a new course there to be typed over', () => {
    const view = mount(CourseFields, {
      props: { course: course(), unit: 'm', isNew: true },
      attachTo: document.body,
    });
    const field = document.activeElement as HTMLInputElement;
    expect([field.value, field.selectionStart, field.selectionEnd]).toEqual(['New course', 0, 10]);
    view.unmount();
  });

  it('name what cannot be, and write nothing', async () => {
    const view = fields('m');
    await type(view, 'Name', '  ');
    expect(view.text()).toContain('Name must not be empty.');
    await type(view, 'Tees, longest first', ', ,');
    expect(view.text()).toContain('Tees must be 1 to 6 names');
    await type(view, 'Latitude', '95');
    expect(view.text()).toContain('between -90 and 90');
    expect(view.emitted('set')).toBeUndefined();
  });

  it('give a new tee the lengths of the last one', async () => {
    const view = fields('m', { holes: usualHoles(9, 1) });
    await type(view, 'Tees, longest first', 'Back, Front');
    const [part] = view.emitted('set')!.at(-1) as [Partial<CourseView>];
    expect(part.tees).toEqual(['Back', 'Front']);
    expect(part.holes![0]!.lengthsM).toEqual([370, 370]);
  });
});

describe('a file of a course', () => {
  const map = (more: object = {}) => ({
    name: 'heide.geojson',
    text: JSON.stringify({
      type: 'FeatureCollection',
      features: Array.from({ length: 9 }, (_one, i) => ({
        type: 'Feature',
        properties: { hole: i + 1, par: 4, ...more },
        geometry: {
          type: 'LineString',
          coordinates: [
            [10.123456, 53.5],
            [10.123456, 53.5034],
          ],
        },
      })),
    }),
  });
  const shown = (from: CourseText, more: Partial<CourseView> = {}, unit: 'm' | 'yd' = 'm') =>
    mount(CourseFile, { props: { from, course: course(more), unit } });

  it('says what it holds, and brings its place along where none is recorded', async () => {
    const view = shown(map());
    expect(view.text()).toContain('heide.geojson: 9 holes');
    expect(view.text()).toContain('par 36');
    expect(view.text()).not.toContain('name no unit');
    await view.get('button').trigger('click');
    expect(view.emitted('take')![0]).toMatchObject([{ longitudeDeg: 10.12346, latitudeDeg: 53.5 }]);
    const placed = shown(map(), { latitudeDeg: 1, longitudeDeg: 2 });
    await placed.get('button').trigger('click');
    expect(placed.emitted('take')![0]).not.toHaveProperty('0.latitudeDeg');
  });

  it('is not taken with a fault in it, which is read out', () => {
    const view = shown(map({ par: 9 }));
    expect(view.get('[role="alert"]').text()).toContain('hole 1: par');
    expect(view.get('button').attributes('disabled')).toBeDefined();
    expect(view.text()).not.toMatch(/Tee|par \d\d/);
  });

  it('says that its par is a guess where it has none', () => {
    const text = ['Hole,White', ...Array.from({ length: 9 }, (_one, i) => `${i + 1},400`)].join('\n');
    expect(shown({ name: 'card.csv', text }).text()).toContain('No par in the file');
  });

  it('asks what unit its lengths are in where they name none', async () => {
    const text = ['Hole,Par,White', ...Array.from({ length: 9 }, (_one, i) => `${i + 1},4,400`)].join('\n');
    const view = shown({ name: 'card.csv', text }, {}, 'yd');
    expect(view.text()).toContain('White, 3600 yd');
    expect(view.text()).not.toContain('No par in the file');
    await view.getComponent(ChoiceField).vm.$emit('update:value', 'm');
    expect(view.text()).toContain('White, 3937 yd');
    await view.get('.n-button--primary-type').trigger('click');
    const [part] = view.emitted('take')![0] as [Partial<CourseView>];
    expect(part.tees).toEqual(['White']);
    expect(part.holes!.map(({ lengthsM }) => lengthsM)).toEqual(Array(9).fill([400]));
  });

  it('takes lengths for yards that would be too long in metres, and asks all the same', () => {
    const card = (length: number) => ({
      name: 'card.csv',
      text: ['Hole,Par,White', ...Array.from({ length: 9 }, (_one, i) => `${i + 1},4,${length}`)].join('\n'),
    });
    expect(shown(card(350)).text()).toContain('White, 3150 m');
    const long = shown(card(400));
    expect(long.text()).toContain('White, 3292 m');
    expect(long.getComponent(ChoiceField).text()).toBe('yards');
  });
});

describe('the table of holes', () => {
  const table = () =>
    mount(HoleTable, { props: { holes: usualHoles(9, 1), tees: ['Back'], unit: 'm', active: 0 } });
  const paste = async (view: ReturnType<typeof table>, text: string) => {
    const event = new Event('paste', { cancelable: true });
    Object.assign(event, { clipboardData: { getData: () => text } });
    view.get('input').element.dispatchEvent(event);
    await nextTick();
  };

  it('takes rows of a spreadsheet where they are pasted, and a whole card as one', async () => {
    const view = table();
    await paste(view, '3\t150\n5\t480');
    const [holes] = view.emitted('holes')![0] as [readonly Hole[]];
    expect(holes.slice(0, 2)).toMatchObject([
      { par: 3, lengthsM: [150] },
      { par: 5, lengthsM: [480] },
    ]);
    const card = ['Hole\t1\t2\t3\t4\t5\t6\t7\t8\t9', 'White\t1\t2\t3\t4\t5\t6\t7\t8\t9'].join('\n');
    await paste(view, card);
    expect(view.emitted('card')).toEqual([[card]]);
    expect(view.emitted('holes')).toHaveLength(1);
  });

  it('takes nothing of rows with a fault', async () => {
    const view = table();
    await paste(view, '3\t150\n12\t480');
    expect(view.emitted('holes')).toBeUndefined();
    expect(view.text()).toContain('Row 2 of what was pasted');
  });
});

describe('the seasons of a course', () => {
  it('say that there are none, and what to do', () => {
    const view = mount(CourseSeasons, { props: { course: course(), templates: [], unit: 'm' } });
    expect(view.text()).toContain('No season yet');
  });
});

describe('the holes of a course', () => {
  it('begin with usual ones for its tees; the one that is pointed at is drawn, and none that is gone', async () => {
    const tees = ['Back', 'Front'];
    const view = mount(CourseHoles, { props: { course: course({ tees, holes: [] }), unit: 'm' } });
    await view
      .findAll('button')
      .find((button) => button.text() === 'Nine')!
      .trigger('click');
    const [[holes]] = view.emitted('holes') as [[Hole[]]];
    expect(holes.map(({ lengthsM }) => lengthsM.length)).toEqual(Array(9).fill(2));
    await view.setProps({ course: course({ tees, holes }) });
    view.findComponent(HoleTable).vm.$emit('active', 8);
    await nextTick();
    expect(view.text()).toContain(`par ${holes[8]!.par}, ${Math.round(holes[8]!.lengthsM[0]!)} m`);
    await view.setProps({ course: course({ tees, holes: holes.slice(0, 3) }) });
    expect(view.text()).toContain(`par ${holes[2]!.par}, ${Math.round(holes[2]!.lengthsM[0]!)} m`);
  });
});

describe('the year of the seasons', () => {
  it('is shared out whole, each season until the next begins, over the new year too', () => {
    const season = (name: string, fromMonth: number) =>
      ({ id: name, name, fromMonth, ground: { fairways: 'usual' } }) as unknown as SeasonView;
    const view = mount(SeasonYear, {
      props: { seasons: [season('wet', 3), season('dry', 6), season('cold', 11)] },
    });
    const shares = view.findAll('i').map((bar) => bar.attributes('style')!);
    const widths = shares.map((style) => Number(/width: ([\d.]+)%/.exec(style)![1]));
    // Each is drawn twice, the second time a year earlier, so that what began last year is seen.
    expect(widths.reduce((sum, width) => sum + width, 0)).toBeCloseTo(200, 4);
    expect(widths[4]).toBeCloseTo((4 / 12) * 100, 4);
    expect(
      mount(SeasonYear, { props: { seasons: [season('all year', 5)] } })
        .find('i')
        .attributes('style'),
    ).toContain('width: 100%');
  });
});

describe('a course that may only be read', () => {
  const readOnly = defineComponent({
    setup(_props, { slots }) {
      provideReadOnly(() => true);
      return () => slots.default?.();
    },
  });

  it('shows its fields and holes, and takes nothing: typed, stepped or pasted', async () => {
    const shown = course({ holes: usualHoles(18, 2), seasons: [] });
    const view = mount(readOnly, {
      slots: {
        default: () => [
          h(CourseFields, { course: shown, unit: 'm' }),
          h(CourseHoles, { course: shown, unit: 'm' }),
          h(CourseSeasons, { course: shown, templates: [], unit: 'm' }),
        ],
      },
    });
    await flushPromises();
    const inputs = view.findAll('input').filter((input) => input.attributes('aria-label'));
    expect(inputs.length).toBe(18 * 9 + 6);
    expect(inputs.filter((input) => input.attributes('readonly') === undefined)).toEqual([]);
    expect(view.findAll('[role=combobox]').map((box) => box.attributes('aria-disabled'))).toEqual([
      'true',
      'true',
    ]);
    await view.get('input[aria-label="Altitude"]').trigger('keydown', { key: 'ArrowUp' });
    const paste = new Event('paste', { bubbles: true, cancelable: true });
    Object.assign(paste, { clipboardData: { getData: () => '4\t400\n4\t410' } });
    view.get('[data-cell="0 0"]').element.dispatchEvent(paste);
    for (const part of [CourseFields, CourseHoles, CourseSeasons]) {
      expect(Object.keys(view.getComponent(part).emitted())).not.toContain('set');
      expect(view.getComponent(part).emitted('holes')).toBeUndefined();
    }
    expect(view.text()).not.toContain('Put a template on');
  });
});
