/** The stages in the order of the work. */
export const stages = [
  { path: 'site', name: 'Site' },
  { path: 'walk-round', name: 'Walk-round' },
  { path: 'method', name: 'Method' },
  { path: 'mix', name: 'Mix' },
  { path: 'towels', name: 'Towels' },
  { path: 'run-sheet', name: 'Run sheet' },
  { path: 'run', name: 'Run' },
  { path: 'handover', name: 'Handover' },
] as const;
