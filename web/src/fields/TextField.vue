<script setup lang="ts">
import { useEventListener } from '@vueuse/core';
import { NInput } from 'naive-ui';
import { computed, onMounted, ref, watch } from 'vue';
import { useFieldAttrs } from './field-attrs';
import { useReadOnly } from './read-only';

/**
 * A text field. It keeps what is being typed while the value behind it changes, and says so with `write` when
 * it is left or Enter is pressed. `update:value` tells every letter.
 */
const props = defineProps<{
  value: string;
  /** More than one line. */
  rows?: number;
  placeholder?: string;
  disabled?: boolean;
  readonly?: boolean;
  maxlength?: string | number;
  /** What is typed was refused: the field stands out until it is fixed. */
  bad?: boolean;
  size?: 'small' | 'medium';
  /** Takes the focus as soon as it is there. */
  autofocus?: boolean;
}>();
const emit = defineEmits<{ write: [text: string]; 'update:value': [text: string] }>();
defineOptions({ inheritAttrs: false });

const text = ref(props.value);
const typing = ref(false);
let before = '';
watch(
  () => props.value,
  (value) => {
    if (!typing.value) text.value = value;
  },
);

const isReadOnly = useReadOnly();
const attrs = useFieldAttrs();
const inner = computed(() => ({
  ...attrs.inner.value,
  'data-untouched': typing.value ? undefined : '',
  'aria-invalid': props.bad || undefined,
}));

function type(written: string): void {
  if (!typing.value) before = props.value;
  typing.value = true;
  text.value = written;
  emit('update:value', written);
}

function leave(): void {
  if (typing.value && text.value !== before) emit('write', text.value);
  typing.value = false;
}

// The page closes before the field is left. Sentences are recorded as far as they go; half a name or a number
// would mean another one.
useEventListener(window, 'pagehide', () => {
  if (props.rows) leave();
});

const field = ref<InstanceType<typeof NInput> | null>(null);
// The browser's own autofocus does nothing once something else has had the focus, such as the button that opened
// a form.
onMounted(() => {
  if (props.autofocus) field.value?.focus();
});
defineExpose({
  focus: () => field.value?.focus(),
  select: () => field.value?.select(),
  /** What was typed has been taken. */
  clear: () => {
    typing.value = false;
    text.value = '';
    emit('update:value', '');
  },
});
</script>

<template>
  <NInput
    ref="field"
    :value="text"
    :type="rows ? 'textarea' : 'text'"
    :rows="rows"
    :placeholder="placeholder ?? ''"
    :disabled="disabled"
    :readonly="readonly || isReadOnly"
    :maxlength="maxlength === undefined ? undefined : Number(maxlength)"
    :status="bad ? 'error' : undefined"
    :size="size ?? 'small'"
    :input-props="inner"
    v-bind="attrs.outer.value"
    @update:value="type"
    @change="leave"
    @blur="leave"
  />
</template>
