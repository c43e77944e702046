import { mount } from '@vue/test-utils';
import { NButton } from 'naive-ui';
import { describe, expect, it } from 'vitest';
import { defineComponent, h, nextTick, ref, withDirectives, type VNode } from 'vue';
import ChoiceField from '../../src/fields/ChoiceField.vue';
import DateField from '../../src/fields/DateField.vue';
import { vOpened } from '../../src/fields/opened';
import TextField from '../../src/fields/TextField.vue';

const text = (label: string, autofocus = false) =>
  h(TextField, { value: '', 'aria-label': label, autofocus });
const day = () => h(DateField, { value: '2026-11-30', label: 'Day' });
const choice = () => h(ChoiceField, { value: 'a', label: 'Job', options: ['a', 'b'] });
const focused = () => document.activeElement?.getAttribute('aria-label') ?? null;

/** A page with a button that opens a form, and one beside it. */
function page(fields: () => VNode[]) {
  const isOpen = ref(false);
  const view = mount(
    defineComponent(() => () => [
      h('button', { 'aria-label': 'Open', onClick: () => (isOpen.value = true) }),
      h('button', { 'aria-label': 'Beside' }),
      isOpen.value ? withDirectives(h('form', fields()), [[vOpened]]) : null,
    ]),
    { attachTo: document.body },
  );
  const button = (label: string) => view.get<HTMLButtonElement>(`[aria-label="${label}"]`).element;
  const open = async () => {
    button('Open').focus();
    button('Open').click();
    await nextTick();
  };
  const close = async () => {
    isOpen.value = false;
    await nextTick();
    await nextTick();
  };
  return { view, button, open, close };
}

describe('a form that a person opens', () => {
  it.each([
    ['Name', () => [text('Name'), text('Last')]],
    ['Day', () => [day(), text('Last')]],
    ['Job', () => [choice(), text('Last')]],
    ['Last', () => [day(), text('Last', true)]],
    ['Name', () => [h(NButton, { 'aria-label': 'Start over' }), text('Name')]],
  ])('has the cursor in its first field, or in the one that asks for it: %s', async (label, fields) => {
    const { view, open } = page(fields);
    await open();
    expect(focused()).toBe(label);
    view.unmount();
  });

  it('gives it back to what opened it when it closes, unless it is elsewhere by then', async () => {
    const { view, button, open, close } = page(() => [text('Name')]);
    await open();
    await close();
    expect(focused()).toBe('Open');
    await open();
    button('Beside').focus();
    await close();
    expect(focused()).toBe('Beside');
    view.unmount();
  });
});
