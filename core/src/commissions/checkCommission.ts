import {
  type At,
  type BaseProblem,
  checkName,
  checkRange,
  boundLength,
  isCalendarDate,
} from '../base/index.ts';
import { COMMISSION_BOUNDS, type CommissionInput } from './commission.ts';

export type CommissionProblem = BaseProblem | (At & { readonly code: 'by_before_begin' });

/** What cannot be written down so. A commission is written as it comes in: half of it is no problem. */
export function checkCommission(commission: CommissionInput): CommissionProblem[] {
  const { title, askedOn, byDay, beginsOn, handedOverOn, count, height } = commission;
  const days = { askedOn, byDay, beginsOn, handedOverOn };
  return [
    ...checkName(title, '/title'),
    ...Object.entries(days).flatMap(([field, day]): CommissionProblem[] =>
      day === null || isCalendarDate(day) ? [] : [{ code: 'date_not_read', pointer: `/${field}`, text: day }],
    ),
    ...checkRange(count, COMMISSION_BOUNDS.count, '/count'),
    ...heightProblems(height),
    ...(byDay !== null && beginsOn !== null && beginsOn > byDay
      ? [{ code: 'by_before_begin', pointer: '/beginsOn' } as const]
      : []),
  ];
}

function heightProblems(height: CommissionInput['height']): CommissionProblem[] {
  const bounded = height === null ? null : boundLength(height);
  if (!bounded || bounded.ok || bounded.refusal.code === 'length_not_read') return [];
  return [{ ...bounded.refusal, pointer: '/height' }];
}
