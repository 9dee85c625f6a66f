import type { StageName } from '@esmero/core';

/** The stages in the order of the work; paths are the names that the core has for them. */
export const stages: readonly { readonly path: StageName; readonly name: string }[] = [
  { path: 'site', name: 'Site' },
  { path: 'walk-round', name: 'Walk-round' },
  { path: 'method', name: 'Method' },
  { path: 'price', name: 'Price' },
  { path: 'mix', name: 'Mix' },
  { path: 'towels', name: 'Towels' },
  { path: 'order', name: 'Work order' },
  { path: 'run', name: 'Run' },
  { path: 'handover', name: 'Handover' },
];
