import type { SignedInView, WishView } from '@tasche/contract';
import { flushPromises, mount } from '@vue/test-utils';
import { expect, it } from 'vitest';
import { defineComponent, h, reactive } from 'vue';
import { signedIn } from '../../src/api/signed-in';
import WishForm from '../../src/bench/WishForm.vue';
import ChoiceField from '../../src/fields/ChoiceField.vue';
import KeptNote from '../../src/fields/KeptNote.vue';
import { isDraftKept, keyOfDraft, useKeptDraft, wholeDraft } from '../../src/fields/kept-draft';

const FORM = 'wish/p/new';
const form = (wish?: WishView) => mount(WishForm, { props: { playerId: 'p', clubs: [], unit: 'yd', wish } });
const what = (view: ReturnType<typeof form>) =>
  view.get<HTMLInputElement>('input[aria-label="What"]').element.value;
const kindOf = (view: ReturnType<typeof form>) =>
  view
    .findAllComponents(ChoiceField)
    .map((one) => one.props() as { label: string; value: unknown })
    .find(({ label }) => label === 'Kind')?.value;
const isSaid = (view: ReturnType<typeof form>) => view.getComponent(KeptNote).find('p').exists();

async function halfWritten(): Promise<void> {
  const view = form();
  await view.get('input[aria-label="What"]').setValue('58 wedge');
  // What the name was taken for is not what was meant.
  view
    .findAllComponents(ChoiceField)
    .find((one) => (one.props() as { label: string }).label === 'Kind')!
    .vm.$emit('update:value', 'iron');
  await flushPromises();
  view.unmount();
}

it('what was half written is there again, as it was chosen, and can be begun again', async () => {
  expect(isDraftKept(FORM)).toBe(false);
  await halfWritten();
  expect(isDraftKept(FORM)).toBe(true);
  const view = form();
  await flushPromises();
  expect([what(view), kindOf(view), isSaid(view)]).toEqual(['58 wedge', 'iron', true]);
  await view.getComponent(KeptNote).get('button').trigger('click');
  await flushPromises();
  expect([what(view), isSaid(view), isDraftKept(FORM)]).toEqual(['', false, false]);
});

it.each(['save', 'leave'] as const)('nothing is kept of what was ended by: %s', async (how) => {
  await halfWritten();
  const view = form();
  if (how === 'save') await view.get('form').trigger('submit');
  else
    await view
      .findAll('button')
      .find((one) => one.text() === 'Cancel')!
      .trigger('click');
  await flushPromises();
  expect(view.emitted(how)).toHaveLength(1);
  expect(isDraftKept(FORM)).toBe(false);
  view.unmount();
  expect(what(form())).toBe('');
});

it('a form that was only looked at keeps nothing', async () => {
  const view = form();
  await view.get('input[aria-label="What"]').setValue('shaft');
  await view.get('input[aria-label="What"]').setValue('');
  await flushPromises();
  expect(isDraftKept(FORM)).toBe(false);
  view.unmount();
});

const Any = defineComponent({
  props: { begins: { type: String, required: true } },
  setup(props, { expose }) {
    const draft = reactive({ name: props.begins });
    const kept = useKeptDraft('any', wholeDraft(draft));
    expose({ draft, wasKept: kept.wasKept });
    return () => h('p', draft.name);
  },
});
it('is hidden from another person who signs in', async () => {
  await halfWritten();
  signedIn.value = { personId: 'somebody else' } as SignedInView;
  expect(isDraftKept(FORM)).toBe(false);
  expect(what(form())).toBe('');
  signedIn.value = null;
  expect(isDraftKept(FORM)).toBe(true);
});

it.each([
  ['a row that was changed since', JSON.stringify({ begun: '{"name":"old"}', typed: '{"name":"mine"}' })],
  ['what no form wrote', '{"typed":'],
])('%s starts over', (_why, kept) => {
  sessionStorage.setItem(keyOfDraft('any'), kept);
  const view = mount(Any, { props: { begins: 'new' } });
  expect(view.text()).toBe('new');
  expect(isDraftKept('any')).toBe(false);
});

it('Escape leaves a form in which nothing is written, and no other: a draft is not given up by it', async () => {
  const press = async (view: ReturnType<typeof form>) => {
    await view.get('input[aria-label="What"]').trigger('keydown', { key: 'Escape' });
    return view.emitted('leave')?.length ?? 0;
  };
  const empty = form();
  expect(await press(empty)).toBe(1);
  empty.unmount();
  await halfWritten();
  const kept = form();
  await flushPromises();
  expect([await press(kept), isDraftKept(FORM)]).toEqual([0, true]);
  kept.getComponent(KeptNote).vm.$emit('startOver');
  await flushPromises();
  expect(await press(kept)).toBe(1);
  kept.unmount();
});
