import type { CourseView } from '@tasche/contract';
import { toMetres } from '@tasche/core';
import { mount } from '@vue/test-utils';
import { describe, expect, it } from 'vitest';
import CourseFields from '../../src/courses/CourseFields.vue';
import CourseFile from '../../src/courses/CourseFile.vue';
import CourseSeasons from '../../src/courses/CourseSeasons.vue';
import { newCourse, usualHoles } from '../../src/courses/new-course';

const course = (more: Partial<CourseView> = {}): CourseView => ({
  ...newCourse([]),
  id: 'c',
  version: 1,
  removed: false,
  ...more,
});

describe('a new course', () => {
  it('has a name nobody uses, and usual holes of seventy-two or thirty-six', () => {
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
  const file = (more: object = {}) => ({
    name: 'heide.csv',
    holes: usualHoles(9, 1),
    tees: ['Back'],
    problems: [],
    passed: [],
    place: [10.123456, 53.5] as [number, number],
    ...more,
  });

  it('says what it holds, and brings its place along where none is written down', async () => {
    const view = mount(CourseFile, { props: { file: file(), course: course(), unit: 'm' } });
    expect(view.text()).toContain('heide.csv: 9 holes');
    expect(view.text()).toContain('par 36');
    await view.get('button').trigger('click');
    expect(view.emitted('take')![0]).toMatchObject([{ longitudeDeg: 10.12346, latitudeDeg: 53.5 }]);
    const placed = mount(CourseFile, {
      props: { file: file(), course: course({ latitudeDeg: 1, longitudeDeg: 2 }), unit: 'm' },
    });
    await placed.get('button').trigger('click');
    expect(placed.emitted('take')![0]).not.toHaveProperty('0.latitudeDeg');
  });

  it('is not taken with a fault in it, which is read out', () => {
    const view = mount(CourseFile, {
      props: { file: file({ problems: ['hole 1: par must be 3 to 6'] }), course: course(), unit: 'm' },
    });
    expect(view.get('[role="alert"]').text()).toContain('hole 1: par');
    expect(view.get('button').attributes('disabled')).toBeDefined();
  });
});

describe('the seasons of a course', () => {
  it('say that there are none, and what to do', () => {
    const view = mount(CourseSeasons, { props: { course: course(), templates: [], unit: 'm' } });
    expect(view.text()).toContain('No season yet');
  });
});
