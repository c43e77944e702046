import type { ClubView, Column } from '@tasche/contract';
import type { DistanceUnit } from '@tasche/core';
import { ref } from 'vue';
import { cellChange } from '../sheet/cell-change';
import { showCell } from '../sheet/sheet-columns';
import { useSheet } from '../sheet/sheet-store';

/** A text that was refused, and why. */
interface Complaint {
  text: string;
  reason: string;
}

/**
 * Cells of one club outside the grid: what each shows, and how what is typed is recorded; a text that is
 * refused stays where it was typed, with its reason.
 * @param of read again whenever it is needed
 */
export function useClubCells(of: { club: () => ClubView; unit: () => DistanceUnit; takenOn: () => string }) {
  const store = useSheet();
  /** By the column's id. */
  const complaints = ref(new Map<string, Complaint>());

  function show(column: Column): string {
    const cell = { id: column.id, writes: () => column, head: '', align: 'left', px: 0 } as const;
    return (
      complaints.value.get(column.id)?.text ?? showCell(of.club(), cell, of.unit()).text.replace(/°$/, '')
    );
  }

  function write(column: Column, text: string): void {
    const change = cellChange(of.club(), column, text, of.unit(), of.takenOn());
    if (change.ok) {
      complaints.value.delete(column.id);
      store.change(change.commands);
    } else complaints.value.set(column.id, { text, reason: change.reason });
  }
  return { complaints, show, write };
}
