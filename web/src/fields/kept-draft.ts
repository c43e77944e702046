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

type Fields = Readonly<Record<string, unknown>>;
const isFields = (value: unknown): value is Fields =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** What was written, over what the form begins with by now: a field that nobody wrote in is as it is now. */
function written(kept: Fields, begun: Fields, now: Fields): Fields {
  const valueOf = (field: string): unknown => {
    const [typed, before, present] = [kept[field], begun[field], now[field]];
    if (isFields(typed) && isFields(before) && isFields(present)) return written(typed, before, present);
    return JSON.stringify(typed) === JSON.stringify(before) ? present : typed;
  };
  return Object.fromEntries(Object.keys({ ...now, ...kept }).map((field) => [field, valueOf(field)]));
}

/**
 * A half-written form survives a reload and leaving the page: its draft is kept in this tab until it is saved
 * or given up. Where the form begins from something else than it did then (another day, a row that was changed
 * since), what was written stands over it.
 * @param form which one, and what it is about: `ticket/<player>/new`
 */
export function useKeptDraft<Kept extends object>(form: string, fields: Written<Kept>) {
  const key = keyOfDraft(form);
  const text = () => JSON.stringify(fields.read());
  const begun = text();
  /** What is in the form was written before the page was left. */
  const wasKept = ref(false);
  const kept = read();
  if (kept) {
    const [now, before] = [JSON.parse(begun) as Fields, JSON.parse(kept.begun) as Fields];
    fields.write(written(JSON.parse(kept.typed) as Fields, before, now) as Kept);
    wasKept.value = text() !== begun;
  }
  if (!wasKept.value) sessionStorage.removeItem(key);

  const stop = watch(text, (now) => {
    try {
      if (now === begun) sessionStorage.removeItem(key);
      else sessionStorage.setItem(key, JSON.stringify({ begun, typed: now }));
    } catch {
      // The browser's storage is full: the form works without.
    }
  });

  /** Null where nothing is kept, or what is was written by no form. */
  function read(): { begun: string; typed: string } | null {
    try {
      const found = JSON.parse(sessionStorage.getItem(key) ?? 'null') as {
        begun: string;
        typed: string;
      } | null;
      const isOfForm = [found?.begun, found?.typed].every(
        (one) => typeof one === 'string' && isFields(JSON.parse(one)),
      );
      return isOfForm ? found : null;
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
      fields.write(JSON.parse(begun) as Kept);
      wasKept.value = false;
    },
    /** It was saved or given up: the draft is deleted. */
    end(): void {
      stop();
      sessionStorage.removeItem(key);
    },
  };
}
