import { mayNote, mayUndoOthers, mayUse, type CommandName } from '@tasche/contract';
import { signedIn } from '../api/signed-in';

/** Whether the signed-in person may do such a thing: what they may not do is not offered. Reactive. */
export function mayDoHere(name: CommandName): boolean {
  return signedIn.value === null || mayUse(signedIn.value.role, name);
}

/** Whether they may write the notes of what such a command is about. */
export function mayNoteHere(name: CommandName): boolean {
  return signedIn.value === null || mayNote(signedIn.value.role, name);
}

/** Whether they may take back what this person did. */
export function mayUndo(who: string): boolean {
  return signedIn.value === null || mayUndoOthers(signedIn.value.role) || signedIn.value.who === who;
}
