import { nextTick, type ObjectDirective } from 'vue';

/** How a form is left by Escape. */
interface Leaving {
  leave: () => void;
  /** Whether the form says something it did not begin with; where it is not given, whether anything was typed. */
  isWritten?: () => boolean;
}

/** Forms something was typed in. */
const typedIn = new WeakSet<HTMLElement>();
const FOCUSABLE = ':is(input, textarea):not(:disabled, [tabindex="-1"]), [tabindex="0"]:not(button)';
/** What had the focus before a form was opened: the button that did it. */
const openers = new WeakMap<HTMLElement, Element | null>();

/**
 * `v-opened` on a form that a person opens: the cursor goes to its first field, unless a field has asked for it;
 * when the form closes while the cursor is in it, the cursor goes back to what opened the form. With a value, Escape
 * leaves the form as Cancel does, unless something was written in it or a list of choices is open.
 */
export const vOpened: ObjectDirective<HTMLElement, Leaving | undefined> = {
  created: (form) => {
    openers.set(form, document.activeElement);
  },
  mounted: (form, { value }) => {
    const isWritten = () => value?.isWritten?.() ?? typedIn.has(form);
    form.addEventListener('input', () => typedIn.add(form));
    form.addEventListener('keydown', (event) => {
      const isChoosing = form.querySelector('[aria-expanded="true"]') !== null;
      if (event.key !== 'Escape' || event.defaultPrevented || isChoosing || isWritten()) return;
      value?.leave();
    });
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
