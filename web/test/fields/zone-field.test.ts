import { mount } from '@vue/test-utils';
import { NAutoComplete } from 'naive-ui';
import { beforeEach, describe, expect, it } from 'vitest';
import ZoneField from '../../src/fields/ZoneField.vue';
import { zonesLike } from '../../src/fields/time-zones';
import { freshPinia } from '../pinia';

describe('time zones', () => {
  it('are found by a city, with or without its marks', () => {
    expect(zonesLike('oslo')).toEqual(['Europe/Oslo']);
    expect(zonesLike('são paulo')).toEqual(['America/Sao_Paulo']);
    expect(zonesLike('new york')).toEqual(['America/New_York']);
    expect(zonesLike(' ')).toEqual([]);
    expect(zonesLike('Atlantis')).toEqual([]);
  });

  it('are found by their country', () => {
    expect(zonesLike('Norway')).toContain('Europe/Oslo');
    expect(zonesLike('spain')).toEqual([
      'Africa/Ceuta',
      'Atlantic/Canary',
      'Europe/Madrid',
      'America/Port_of_Spain',
    ]);
    expect(zonesLike('emirates')).toEqual(['Asia/Dubai']);
    expect(zonesLike('united states').length).toBe(20);
  });
});

describe('a field for a time zone', () => {
  beforeEach(() => {
    freshPinia();
  });
  async function left(text: string) {
    const field = mount(ZoneField, { props: { value: '', label: 'Time zone' } });
    await field.get('input').setValue(text);
    field.getComponent(NAutoComplete).vm.$emit('blur');
    await field.vm.$nextTick();
    const alert = field.find('[role=alert]');
    return { zone: field.emitted('update:value')?.at(-1)?.[0], says: alert.exists() ? alert.text() : '' };
  }

  it('takes the only zone that can be meant', async () => {
    expect(await left('oslo')).toEqual({ zone: 'Europe/Oslo', says: '' });
    expect(await left('emirates')).toEqual({ zone: 'Asia/Dubai', says: '' });
    expect(await left('UTC')).toEqual({ zone: 'UTC', says: '' });
  });

  it('names those that may be meant, and says what to write where none is', async () => {
    expect(await left('spain')).toEqual({
      zone: undefined,
      says: '■ Time zone: "spain" may be Africa/Ceuta, Atlantic/Canary, Europe/Madrid or others; choose one',
    });
    expect((await left('europe')).says).toMatch(/or others; choose one$/);
    expect((await left('Atlantis')).says).toBe(
      '■ Time zone: "Atlantis" is not a time zone; write a large city, like Oslo, or a country',
    );
  });
});
