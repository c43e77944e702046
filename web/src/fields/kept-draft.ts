import { ref, watch } from 'vue';
import { signedIn } from '../api/signed-in';

/** Where what is half written is kept in this tab, for the person who is signed in only. */
export const keyOfDraft = (form: string) => `tasche.form/${signedIn.value?.personId ?? ''}/${form}`;

/** Whether this tab keeps a half-written draft of a form. */
export function isDraftKept(form: string): boolean {
  return sessionStorage.getItem(keyOfDraft(form)) !== null;
}

/** What is written in a form, as it can be kept as JSON, and back. */
interface Written<Kept> {
  read: () => Kept;
  write: (kept: Kept) => void;
}

/** A form that is all in one draft. */
export function wholeDraft<Draft extends object>(draft: Draft): Written<Draft> {
  return { read: () => draft, write: (kept) => void Object.assign(draft, kept) };
}

/**
 * A half-written form survives a reload and leaving the page: its draft is kept in this tab until it is saved
 * or given up. A form that begins from something else than it did then (a row that was changed since) begins
 * again.
 * @param form which one, and what it is about: `ticket/<player>/new`
 */
export function useKeptDraft<Kept>(form: string, written: Written<Kept>) {
  const key = keyOfDraft(form);
  const text = () => JSON.stringify(written.read());
  const begun = text();
  /** What is in the form was written before the page was left. */
  const wasKept = ref(false);
  const kept = read();
  if (kept?.begun === begun) {
    written.write(JSON.parse(kept.typed) as Kept);
    wasKept.value = true;
  } else sessionStorage.removeItem(key);

  const stop = watch(text, (now) => {
    try {
      if (now === begun) sessionStorage.removeItem(key);
      else sessionStorage.setItem(key, JSON.stringify({ begun, typed: now }));
    } catch {
      // The browser's storage is full: the form works without.
    }
  });

  function read(): { begun: string; typed: string } | null {
    try {
      return JSON.parse(sessionStorage.getItem(key) ?? 'null') as { begun: string; typed: string } | null;
    } catch {
      return null;
    }
  }

  return {
    wasKept,
    /** Whether the form says something it did not begin with. */
    isWritten: (): boolean => text() !== begun,
    /** Puts the form back to what it began with. */
    startOver(): void {
      written.write(JSON.parse(begun) as Kept);
      wasKept.value = false;
    },
    /** It was saved or given up: the draft is deleted. */
    end(): void {
      stop();
      sessionStorage.removeItem(key);
    },
  };
}
