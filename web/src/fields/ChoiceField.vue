<script setup lang="ts" generic="Value extends string | number">
import { NSelect, type SelectGroupOption, type SelectOption } from 'naive-ui';
import { computed, onMounted, onUpdated, ref, useId, watch } from 'vue';
import { choiceThatStartsWith, flatChoices, type Choice, type ChoiceGroup } from './choices';
import { useReadOnly } from './read-only';

/**
 * One of several, opened by Enter, a press or the arrows; typing the first letters chooses, as in every list
 * of choices. The component library's select has no role or name for a screen reader, so these are given to
 * it here.
 */
const props = defineProps<{
  value: Value | null | undefined;
  options: readonly (Value | Choice<Value> | ChoiceGroup<Value>)[];
  /** What is chosen here, for a screen reader and for tests. */
  label: string;
  placeholder?: string;
  disabled?: boolean;
  size?: 'small' | 'medium';
  /** Its list is open from the start. */
  startsOpen?: boolean;
}>();
const emit = defineEmits<{ 'update:value': [value: Value]; leave: [] }>();

const isReadOnly = useReadOnly();
const isDisabled = computed(() => props.disabled || isReadOnly.value);
const menuId = useId();
const open = ref(props.startsOpen);
const groups = computed(() =>
  props.options.map((one): Choice<Value> | ChoiceGroup<Value> =>
    typeof one === 'object' ? one : { value: one, label: String(one) },
  ),
);
const choices = computed(() => flatChoices(groups.value));
const selectOptions = computed(() =>
  groups.value.map((one): SelectOption | SelectGroupOption =>
    'choices' in one
      ? { type: 'group', key: one.label, label: one.label, children: [...one.choices] }
      : { ...one },
  ),
);
/** Wide enough for the longest choice, as a list of choices is everywhere. */
const width = computed(() => {
  const longest = Math.max(props.placeholder?.length ?? 0, ...choices.value.map(({ label }) => label.length));
  return `calc(${Math.min(longest, 44)}ch * 0.92 + 56px)`;
});

/** Nothing chosen shows the placeholder. */
const shownValue = computed(() =>
  choices.value.some((one) => one.value === props.value) ? (props.value ?? null) : null,
);

const select = ref<InstanceType<typeof NSelect> | null>(null);
const target = () =>
  (select.value?.$el as HTMLElement | undefined)?.querySelector<HTMLElement>('.n-base-selection-label');
function nameForScreenReaders(): void {
  const element = target();
  if (!element) return;
  element.setAttribute('role', 'combobox');
  element.setAttribute('aria-label', props.label);
  element.setAttribute('aria-haspopup', 'listbox');
  element.setAttribute('aria-controls', menuId);
  element.setAttribute('aria-expanded', String(open.value));
  element.setAttribute('aria-disabled', String(isDisabled.value));
}
onMounted(nameForScreenReaders);
onUpdated(nameForScreenReaders);
watch([open, () => props.label, isDisabled], nameForScreenReaders, { flush: 'post' });

/** How long letters typed one after the other count as one beginning, in ms. */
const LETTERS_TOGETHER_MS = 700;
let begun = { letters: '', at: 0 };
function typeAhead(event: KeyboardEvent): void {
  if (
    isDisabled.value ||
    event.key.length !== 1 ||
    event.key === ' ' ||
    event.ctrlKey ||
    event.altKey ||
    event.metaKey
  )
    return;
  const fresh = event.timeStamp - begun.at > LETTERS_TOGETHER_MS;
  begun = { letters: (fresh ? '' : begun.letters) + event.key, at: event.timeStamp };
  const found = choiceThatStartsWith(choices.value, begun.letters, props.value ?? null);
  if (!found) return;
  event.preventDefault();
  event.stopPropagation();
  if (found.value !== props.value) emit('update:value', found.value);
}

defineExpose({ focus: () => target()?.focus() });
</script>

<template>
  <NSelect
    ref="select"
    class="choice-field"
    :value="shownValue"
    :options="selectOptions"
    :placeholder="placeholder ?? 'choose…'"
    :disabled="isDisabled"
    :size="size ?? 'small'"
    :style="{ width }"
    :consistent-menu-width="false"
    :virtual-scroll="choices.length > 100"
    :menu-props="{ id: menuId, role: 'listbox', 'aria-label': label } as object"
    :node-props="(one) => ({ role: 'option', 'aria-selected': one.value === value })"
    @update:value="emit('update:value', $event as Value)"
    :show="open"
    @update:show="open = $event"
    @blur="emit('leave')"
    @keydown="typeAhead"
  />
</template>
