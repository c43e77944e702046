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
function page(fields: () => VNode[], hasLeave = false) {
  const isOpen = ref(false);
  const view = mount(
    defineComponent(() => () => [
      h('button', { 'aria-label': 'Open', onClick: () => (isOpen.value = true) }),
      h('button', { 'aria-label': 'Beside' }),
      isOpen.value
        ? withDirectives(h('form', fields()), [
            [vOpened, hasLeave ? { leave: () => (isOpen.value = false) } : undefined],
          ])
        : null,
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

  it('is left by Escape, with the cursor back where it was, unless something was typed', async () => {
    const { view, open } = page(() => [text('Name')], true);
    const name = () => view.find<HTMLInputElement>('input[aria-label="Name"]');
    await open();
    await name().trigger('keydown', { key: 'Escape' });
    await nextTick();
    expect([name().exists(), focused()]).toEqual([false, 'Open']);
    await open();
    await name().setValue('Kari');
    await name().trigger('keydown', { key: 'Escape' });
    expect(name().exists()).toBe(true);
    view.unmount();
  });

  it('is not left by Escape while a list of choices is open, nor where nothing says how', async () => {
    const { view, open } = page(() => [choice()], true);
    await open();
    const list = view.get('.n-base-selection-label');
    list.element.setAttribute('aria-expanded', 'true');
    await list.trigger('keydown', { key: 'Escape' });
    expect(view.find('form').exists()).toBe(true);
    view.unmount();
    const other = page(() => [text('Name')]);
    await other.open();
    await other.view.get('input').trigger('keydown', { key: 'Escape' });
    expect(other.view.find('form').exists()).toBe(true);
    other.view.unmount();
  });
});
