import type { Job, Plan, WhatIf } from '@esmero/core';

/** What crosses to the planner and back is plain data; a thrown error comes back as a failure. */
export type Answer =
  | { readonly kind: 'plan'; readonly plan: Plan }
  | { readonly kind: 'failed'; readonly message: string };

export type WhatIfAnswer =
  | { readonly kind: 'what-if'; readonly answers: readonly WhatIf[] }
  | { readonly kind: 'failed'; readonly message: string };

export interface Planner {
  plan(job: Job): Answer;
  whatIf(job: Job): WhatIfAnswer;
}
