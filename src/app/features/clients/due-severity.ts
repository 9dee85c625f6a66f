import type { DueState } from '@esmero/core';

/** How loud a state of being due is said. */
export const dueSeverity = {
  overdue: 'danger',
  'this-week': 'warn',
  later: 'secondary',
  open: 'secondary',
} as const satisfies Readonly<Record<DueState, string>>;
