import { flushPromises, mount } from '@vue/test-utils';
import { describe, expect, it } from 'vitest';
import ChoiceField from '../../src/fields/ChoiceField.vue';
import DateField from '../../src/fields/DateField.vue';
import NumberField from '../../src/fields/NumberField.vue';
import TextField from '../../src/fields/TextField.vue';

async function type(field: ReturnType<typeof mount>, text: string): Promise<void> {
  const input = field.find('input');
  input.element.value = text;
  await input.trigger('input');
}

async function write(field: ReturnType<typeof mount>, text: string): Promise<void> {
  const input = field.find('input');
  await input.trigger('focus');
  await type(field, text);
  for (const event of ['change', 'blur', 'focusout']) await input.trigger(event);
}

describe('a text field', () => {
  it('keeps what is being typed while the value behind it changes, and tells it when it is left', async () => {
    const field = mount(TextField, { props: { value: 'Perl T' }, attrs: { 'aria-label': 'Ball' } });
    const input = field.find('input');
    expect(input.attributes('aria-label')).toBe('Ball');
    expect(input.attributes('data-untouched')).toBe('');
    await type(field, 'Perl TX');
    expect(input.attributes('data-untouched')).toBeUndefined();
    await field.setProps({ value: 'Gran 2' });
    expect(input.element.value).toBe('Perl TX');
    await input.trigger('change');
    expect(field.emitted('write')).toEqual([['Perl TX']]);
  });

  it('says nothing when it is left as it was', async () => {
    const field = mount(TextField, { props: { value: 'Perl T' } });
    await write(field, 'Perl T');
    expect(field.emitted('write')).toBeUndefined();
  });
});

describe('a number field', () => {
  const wind = { value: 8, label: 'Wind', unit: 'm/s', bounds: [0, 30] as const };

  it('takes a comma or a point, and the unit beside the number', async () => {
    const field = mount(NumberField, { props: wind });
    await write(field, '4,5');
    await write(field, '6 m/s');
    expect(field.emitted('write')).toEqual([[4.5], [6]]);
  });

  it('converts another unit of its kind, and shows what it came to', async () => {
    const written = async (props: object, text: string) => {
      const field = mount(NumberField, { props: { value: 0, label: 'Number', ...props } });
      await write(field, text);
      return [field.emitted('write')?.[0]?.[0], field.find('input').element.value];
    };
    expect(await written({ unit: '°F' }, '20 C')).toEqual([68, '68']);
    expect(await written({ unit: '°C' }, '68°F')).toEqual([20, '20']);
    expect(await written({ unit: 'm/s' }, '12 mph')).toEqual([5.36, '5.36']);
    expect(await written({ unit: 'mph' }, '30 km/h')).toEqual([18.6, '18.6']);
    expect(await written({ unit: 'm/s' }, '10 knots')).toEqual([5.14, '5.14']);
    expect(await written({ unit: 'ft', whole: true }, '300 m')).toEqual([984, '984']);
    expect(await written({ unit: 'm' }, '1,5 yd')).toEqual([1.37, '1.37']);
    expect(await written({ unit: 'yd' }, '150 y')).toEqual([150, '150']);
    expect(await written({ unit: 'in' }, '88.9 cm')).toEqual([35, '35']);
    const field = mount(NumberField, { props: wind });
    await write(field, '99 mph');
    expect(field.find('[role=alert]').text()).toContain('between 0 and 30 m/s, not “99 mph”');
    expect(field.find('input').element.value).toBe('99 mph');
  });

  it('refuses a unit of another kind rather than take its number for its own', async () => {
    const field = mount(NumberField, { props: wind });
    for (const text of ['12 C', '9 banana', '9m']) {
      await write(field, text);
      expect(field.find('[role=alert]').text(), text).toContain(`not “${text}”`);
    }
    expect(field.emitted('write')).toBeUndefined();
    const loss = mount(NumberField, { props: { value: 1, label: 'Loss', unit: 'strokes a round' } });
    await write(loss, '0,3 strokes');
    expect(loss.emitted('write')).toEqual([[0.3]]);
  });

  it('names the field and its bounds, and keeps what was typed', async () => {
    const field = mount(NumberField, { props: wind });
    await write(field, '99');
    expect(field.find('[role=alert]').text()).toBe('■ Wind must be between 0 and 30 m/s, not “99”.');
    expect(field.find('input').element.value).toBe('99');
    expect(field.emitted('write')).toBeUndefined();
    expect(field.find('input').attributes('aria-invalid')).toBe('true');
    await write(field, '9');
    expect(field.find('[role=alert]').exists()).toBe(false);
    expect(field.emitted('write')).toEqual([[9]]);
  });

  it('takes about so much, a half as it is written, and a dash for a minus, and shows the number', async () => {
    const field = mount(NumberField, { props: { ...wind, bounds: [-30, 30] as const } });
    for (const text of ['about 6', '~7 m/s', '4½', '½', '–5']) {
      await write(field, text);
      expect(field.find('[role=alert]').exists(), text).toBe(false);
    }
    expect(field.emitted('write')).toEqual([[6], [7], [4.5], [0.5], [-5]]);
    await write(field, 'ca. 9');
    expect(field.find('input').element.value).toBe('9');
    await write(field, '10-15');
    expect(field.find('[role=alert]').text()).toContain('not “10-15”');
  });

  it('takes thousands where they cannot be anything else, and asks where they could be decimals', async () => {
    const spin = mount(NumberField, {
      props: { value: null, label: 'Spin', bounds: [0, 100_000], optional: true },
    });
    for (const text of ['1.200,50', '1,200.50', '12,5']) await write(spin, text);
    expect(spin.emitted('write')).toEqual([[1200.5], [1200.5], [12.5]]);
    await write(spin, '1,200');
    expect(spin.find('[role=alert]').text()).toBe(
      '■ Spin: "1,200" could be thousands or decimals; write it without the separator.',
    );
    await write(spin, 'a lot');
    expect(spin.find('[role=alert]').text()).toBe(
      '■ Spin must be a number between 0 and 100000, not “a lot”.',
    );
    const price = mount(NumberField, {
      props: { value: null, label: 'Price', bounds: [0, 100_000], money: true, optional: true },
    });
    for (const text of ['€ 1,200', '1 250,50', '300,-', 'about 90']) await write(price, text);
    expect(price.emitted('write')).toEqual([[1200], [1250.5], [300], [90]]);
    await write(price, '300 or so much');
    expect(price.find('[role=alert]').text()).toContain('Price must be a number');
    const length = mount(NumberField, { props: { value: 30, label: 'Length', bounds: [20, 60] } });
    await write(length, '36,125');
    expect(length.emitted('write')).toEqual([[36.125]]);
  });

  it('a whole number is whole, and only one that may be empty may be empty', async () => {
    const field = mount(NumberField, {
      props: { value: 14, label: 'Clubs at most', bounds: [1, 14], whole: true },
    });
    await write(field, '2.5');
    expect(field.find('[role=alert]').text()).toContain('must be a whole number between 1 and 14, not “2.5”');
    await write(field, '');
    expect(field.find('[role=alert]').text()).toContain('not “”');
    const hits = mount(NumberField, { props: { value: 3, label: 'Hit', optional: true } });
    await write(hits, '');
    expect(hits.emitted('write')).toEqual([[null]]);
  });

  it('the arrows step it, and stop at its bounds', async () => {
    const field = mount(NumberField, { props: { ...wind, value: 29.5 } });
    await field.find('input').trigger('keydown', { key: 'ArrowUp' });
    await field.find('input').trigger('keydown', { key: 'ArrowUp' });
    await field.find('input').trigger('keydown', { key: 'ArrowDown' });
    expect(field.emitted('write')).toEqual([[30], [30], [29]]);
  });

  it('the arrows start an empty field at its lowest bound, and leave alone what is refused or only shown', async () => {
    const press = (field: ReturnType<typeof mount>) =>
      field.find('input').trigger('keydown', { key: 'ArrowUp' });
    const loft = mount(NumberField, { props: { value: null, label: 'Loft', bounds: [5, 70] } });
    await press(loft);
    expect(loft.emitted('write')).toEqual([[5]]);
    await type(loft, '250-255');
    await press(loft);
    expect(loft.find('input').element.value).toBe('250-255');
    const shown = mount(NumberField, { props: { ...wind, readonly: true } });
    await press(shown);
    expect([...(loft.emitted('write') ?? []), ...(shown.emitted('write') ?? [])]).toEqual([[5]]);
  });

  it('steps go on from what was just typed', async () => {
    const field = mount(NumberField, { props: wind });
    await type(field, '12,5');
    await field.find('input').trigger('keydown', { key: 'ArrowDown' });
    expect(field.find('input').element.value).toBe('11.5');
    expect(field.emitted('write')).toEqual([[11.5]]);
  });

  it('shows what was typed as it was typed, zero too, and keeps it while the value behind it changes', async () => {
    const field = mount(NumberField, { props: { ...wind, bounds: [0, 400], step: 0.5 } });
    const input = field.find('input');
    for (const text of ['0', '12,50', '0,0']) {
      await write(field, text);
      await flushPromises();
      expect(input.element.value).toBe(text);
    }
    await type(field, '2');
    await field.setProps({ value: 7 });
    expect(input.element.value).toBe('2');
    await input.trigger('change');
    await field.setProps({ value: 9 });
    await flushPromises();
    expect(input.element.value).toBe('9');
    // Typed back to what it was, and left: nothing was said, and the newer value is shown.
    await type(field, '91');
    await type(field, '9');
    await field.setProps({ value: 12 });
    await input.trigger('change');
    await flushPromises();
    expect([input.element.value, field.emitted('write')!.at(-1)]).toEqual(['12', [2]]);
  });

  it('a form hears null while the number may not stand', async () => {
    const field = mount(NumberField, { props: wind });
    await type(field, '9x9');
    expect(field.emitted('update:value')).toEqual([[null]]);
  });
});

describe('a choice', () => {
  const props = {
    label: 'Lie',
    value: 'fairway',
    options: ['fairway', 'light rough', 'heavy rough', 'sand'],
  };

  it('has a role and a name for screen readers', async () => {
    const field = mount(ChoiceField, { props });
    await flushPromises();
    const box = field.find('[role=combobox]');
    expect(box.attributes()).toMatchObject({
      'aria-label': 'Lie',
      'aria-haspopup': 'listbox',
      'aria-expanded': 'false',
    });
    expect(box.text()).toContain('fairway');
  });

  it('letters choose without opening it', async () => {
    const field = mount(ChoiceField, { props });
    await field.find('[role=combobox]').trigger('keydown', { key: 'h' });
    await field.find('[role=combobox]').trigger('keydown', { key: 's', altKey: true });
    expect(field.emitted('update:value')).toEqual([['heavy rough']]);
  });

  it('shows its placeholder while nothing is chosen', () => {
    const field = mount(ChoiceField, { props: { ...props, value: '', placeholder: 'which lie?' } });
    expect(field.text()).toContain('which lie?');
  });
});

describe('a day', () => {
  it('is typed as the app prints it, and an invalid day is named and not taken', async () => {
    const field = mount(DateField, { props: { value: '2026-09-01', label: 'First day', min: '2026-08-01' } });
    await write(field, '14 Oct 2026');
    expect(field.emitted('update:value')).toEqual([['2026-10-14']]);
    await write(field, 'soon');
    expect(field.find('[role=alert]').text()).toContain('First day: "soon" is not a date');
    await write(field, '3 Jul 2026');
    expect(field.find('[role=alert]').text()).toMatch(/First day: not before (1 Aug|Aug 1) 2026/);
    expect(field.emitted('update:value')).toHaveLength(1);
  });
});

describe('a page that goes before its field is left', () => {
  const typed = async (rows?: number) => {
    const view = mount(TextField, { props: { value: 'before', rows }, attrs: { 'aria-label': 'Notes' } });
    const input = view.get<HTMLInputElement | HTMLTextAreaElement>('input, textarea');
    input.element.value = 'half written';
    await input.trigger('input');
    window.dispatchEvent(new Event('pagehide'));
    return view.emitted('write');
  };
  it('writes sentences down as far as they go, and no half of a name or number', async () => {
    expect(await typed(3)).toEqual([['half written']]);
    expect(await typed()).toBeUndefined();
  });
});
