import { flushPromises, mount } from '@vue/test-utils';
import { NForm, NFormItem, NInput } from 'naive-ui';
import { expect, it, vi } from 'vitest';
import { defineComponent, h, reactive } from 'vue';
import { string } from 'yup';
import { useForm } from '../../src/fields/use-form';

/** A form with one field that must be filled in; `save` is what its button does. */
const formWith = (save: () => unknown, name = 'Ana') =>
  mount(
    defineComponent({
      setup() {
        const draft = reactive({ name });
        const { rules, submit } = useForm(draft, { name: { label: 'Name', schema: string().required() } });
        return () =>
          h(
            NForm,
            {
              ref: 'form',
              model: draft,
              rules,
              onSubmit: (event: Event) => {
                event.preventDefault();
                void submit(save);
              },
            },
            () => [
              h(NFormItem, { path: 'name' }, () =>
                h(NInput, { value: draft.name, onUpdateValue: (value) => (draft.name = value) }),
              ),
              h('button', { type: 'submit' }),
            ],
          );
      },
    }),
  );

it('a form is sent once, however often its button is pressed before it is done', async () => {
  let done: (() => void) | undefined;
  const save = vi.fn(
    () =>
      new Promise<void>((resolve) => {
        done = resolve;
      }),
  );
  const form = formWith(save);
  await form.trigger('submit');
  await form.trigger('submit');
  await flushPromises();
  await form.trigger('submit');
  await flushPromises();
  expect(save).toHaveBeenCalledTimes(1);
  done!();
  await flushPromises();
  // The second press of a double click, with the form still on its way out.
  await form.trigger('submit');
  await flushPromises();
  expect(save).toHaveBeenCalledTimes(1);
});

it('a form that stays is sent again when something in it was changed, or later', async () => {
  const clock = vi.spyOn(performance, 'now').mockReturnValue(10_000);
  const save = vi.fn();
  const form = formWith(save);
  const submitAt = async (at: number) => {
    clock.mockReturnValue(at);
    await form.trigger('submit');
    await flushPromises();
  };
  await submitAt(10_000);
  await submitAt(10_200);
  expect(save).toHaveBeenCalledTimes(1);
  await form.get('input').setValue('Ana Maria');
  await submitAt(10_300);
  expect(save).toHaveBeenCalledTimes(2);
  await submitAt(10_900);
  clock.mockRestore();
  expect(save).toHaveBeenCalledTimes(3);
});

it('a form that was refused is sent as soon as it may stand', async () => {
  const save = vi.fn();
  const form = formWith(save, '');
  await form.trigger('submit');
  await flushPromises();
  expect(save).not.toHaveBeenCalled();
  await form.get('input').setValue('Ana');
  await form.trigger('submit');
  await flushPromises();
  expect(save).toHaveBeenCalledTimes(1);
});
