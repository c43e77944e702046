import type { FormInst, FormItemRule } from 'naive-ui';
import { nextTick, useTemplateRef, type ComponentPublicInstance } from 'vue';
import { ValidationError, type Schema } from 'yup';

/** The second press of a double click comes within this time; the form may still be on its way out. */
const DOUBLE_CLICK_MS = 500;

interface FieldRule<Draft> {
  /** The field's name as the reader sees it; messages begin with it. */
  label: string;
  /** What the server checks the same field with. */
  schema: Schema;
  /** What only makes sense beside the other fields; says what is wrong, or null. */
  also?: (draft: Draft) => string | null;
}

interface Form {
  /** For `rules` of the NForm, by the `path` of its items. */
  rules: Record<string, FormItemRule>;
  /**
   * Calls `save` when every field may stand; else shows what is wrong at each, or goes to the one that could
   * not be read. A form is sent once, however often its button is pressed meanwhile: a double click is one.
   */
  submit: (save: () => unknown) => Promise<void>;
}

/** What is wrong with one field of a draft, in a sentence that begins with its label; null where nothing is. */
export function complaintOf<Draft extends object>(
  draft: Draft,
  key: keyof Draft & string,
  { label, schema, also }: FieldRule<Draft>,
): string | null {
  try {
    schema.validateSync(draft[key], { context: draft });
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error;
    return error.message.replace(/^this\b/, label);
  }
  return also?.(draft) ?? null;
}

/**
 * An NForm (`ref="form"`) checked by the schemas of the contract, so that browser and server say the same of
 * the same field.
 */
export function useForm<Draft extends object>(
  draft: Draft,
  fields: { [Key in keyof Draft & string]?: FieldRule<Draft> },
): Form {
  const form = useTemplateRef<FormInst & ComponentPublicInstance>('form');
  const opened = { ...draft };
  let wasSubmitted = false;
  /** A field that was only passed through is not wrong yet. */
  const isPassedThrough = (key: keyof Draft) => !wasSubmitted && draft[key] === opened[key];
  const rules = Object.fromEntries(
    (Object.entries(fields) as [keyof Draft & string, FieldRule<Draft>][]).map(([key, field]) => [
      key,
      {
        trigger: ['blur', 'change'],
        validator: () => {
          const complaint = isPassedThrough(key) ? null : complaintOf(draft, key, field);
          return complaint === null || new Error(complaint);
        },
      } satisfies FormItemRule,
    ]),
  );
  let isSaving = false;
  let saved = { at: -Infinity, draft: '' };
  const isPressedAgain = () =>
    performance.now() - saved.at < DOUBLE_CLICK_MS && saved.draft === JSON.stringify(draft);
  async function submit(save: () => unknown): Promise<void> {
    if (isSaving || isPressedAgain()) return;
    isSaving = true;
    try {
      if (!(await mayStand())) return;
      wasSubmitted = false;
      await save();
      saved = { at: performance.now(), draft: JSON.stringify(draft) };
    } finally {
      isSaving = false;
    }
  }

  /** Whether every field may; one that may not has the focus. */
  async function mayStand(): Promise<boolean> {
    wasSubmitted = true;
    try {
      await form.value?.validate();
    } catch {
      return false;
    }
    // A field may hold text that is not a date, time or zone: its draft is the value before it, which is not
    // meant.
    await nextTick();
    const root = form.value?.$el as HTMLElement | undefined;
    const unread = root?.querySelector<HTMLElement>('[aria-invalid="true"]');
    unread?.focus();
    return !unread;
  }
  return { rules, submit };
}
