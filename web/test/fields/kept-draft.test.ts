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
    const draft = reactive({ name: props.begins, days: 7, air: { wind: 8, rain: 1 } });
    const kept = useKeptDraft('any', wholeDraft(draft));
    expose({ draft, wasKept: kept.wasKept });
    return () => h('p', `${draft.name}, days ${draft.days}, wind ${draft.air.wind}, rain ${draft.air.rain}`);
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
  ['where no form wrote it', '{"typed":'],
  ['where no form wrote such fields', JSON.stringify({ begun: '7', typed: '"8"' })],
  ['where nothing was written', JSON.stringify({ begun: '{"name":"old"}', typed: '{"name":"old"}' })],
])('a draft starts over %s', (_why, kept) => {
  sessionStorage.setItem(keyOfDraft('any'), kept);
  const view = mount(Any, { props: { begins: 'new' } });
  expect(view.text()).toBe('new, days 7, wind 8, rain 1');
  expect(isDraftKept('any')).toBe(false);
  view.unmount();
});

it('what was written stands over a row that was changed since; what nobody wrote in is as it is now', async () => {
  const begun = JSON.stringify({ name: 'old', days: 14, air: { wind: 2, rain: 0 } });
  const typed = JSON.stringify({ name: 'mine', days: 14, air: { wind: 2, rain: 5 } });
  sessionStorage.setItem(keyOfDraft('any'), JSON.stringify({ begun, typed }));
  const view = mount(Any, { props: { begins: 'new' } });
  expect(view.text()).toBe('mine, days 7, wind 8, rain 5');
  expect((view.vm as unknown as { wasKept: boolean }).wasKept).toBe(true);
  expect(isDraftKept('any')).toBe(true);
  // Kept on as what it is by now.
  (view.vm as unknown as { draft: { name: string } }).draft.name = 'mine again';
  await flushPromises();
  view.unmount();
  const again = mount(Any, { props: { begins: 'new' } });
  expect(again.text()).toBe('mine again, days 7, wind 8, rain 5');
  again.unmount();
  sessionStorage.clear();
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
