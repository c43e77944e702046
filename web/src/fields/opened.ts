import { nextTick, type ObjectDirective } from 'vue';

const FOCUSABLE = ':is(input, textarea):not(:disabled, [tabindex="-1"]), [tabindex="0"]:not(button)';
/** What had the focus before a form was opened: the button that did it. */
const openers = new WeakMap<HTMLElement, Element | null>();

/**
 * `v-opened` on a form that a person opens: the cursor goes to its first field, unless a field has asked for it;
 * when the form closes while the cursor is in it, the cursor goes back to what opened the form.
 */
export const vOpened: ObjectDirective<HTMLElement> = {
  created: (form) => {
    openers.set(form, document.activeElement);
  },
  mounted: (form) => {
    if (form.contains(document.activeElement)) return;
    const first = form.querySelector<HTMLElement>(FOCUSABLE);
    // What is typed into a date picker goes to the field within.
    (first?.querySelector('input') ?? first)?.focus();
  },
  beforeUnmount: (form) => {
    const opener = openers.get(form);
    if (!form.contains(document.activeElement) || !(opener instanceof HTMLElement)) return;
    void nextTick(() => {
      if (opener.isConnected) opener.focus();
    });
  },
};
