import { datesInOrder, planDetails, required } from '@tasche/contract';
import { describe, expect, it } from 'vitest';
import { complaintOf } from '../../src/fields/use-form';

const week = { name: '', startsOn: '2026-09-05', endsOn: '2026-09-01', ground: 'x'.repeat(501) };

describe('what a form says of a field', () => {
  it('is what the server says, with the label in place of the path', () => {
    expect(
      complaintOf(week, 'name', { label: 'Name of the week', schema: required(planDetails.name) }),
    ).toMatch(/^Name of the week (is missing|must not be empty)$/);
    expect(complaintOf(week, 'ground', { label: 'Ground', schema: planDetails.ground })).toBe(
      'Ground must be at most 500 characters',
    );
  });
  it('is nothing where the field may stand', () => {
    expect(complaintOf(week, 'startsOn', { label: 'First day', schema: planDetails.startsOn })).toBeNull();
  });
  it('may look at the other fields', () => {
    const also = (plan: typeof week) =>
      datesInOrder(plan) ? null : 'Last day: the week ends before it starts';
    expect(complaintOf(week, 'endsOn', { label: 'Last day', schema: planDetails.endsOn, also })).toBe(
      'Last day: the week ends before it starts',
    );
  });
});
