import type { RunRow } from '@esmero/core';
import { lapName } from '@esmero/messages';

/** Consecutive rows of one lap. */
export interface LapSection {
  readonly title: string;
  readonly rows: readonly RunRow[];
  /** Passes in it, and seconds by hand. */
  readonly passes: number;
  readonly handS: number;
}

function titleOf({ lap, seconds }: RunRow): string {
  if (lap) return lapName[lap];
  if (seconds.flush) return 'Pre-rinse without touching';
  if (seconds.dry) return 'Dry the body';
  if (seconds.glass) return 'Glass finish';
  return seconds.pack ? 'Pack' : 'Set up';
}

/** The rows of a run under the laps they belong to, in their order. */
export function lapSections(rows: readonly RunRow[]): readonly LapSection[] {
  const sections: { title: string; rows: RunRow[] }[] = [];
  for (const row of rows) {
    const title = titleOf(row);
    const last = sections.at(-1);
    if (last?.title === title) last.rows.push(row);
    else sections.push({ title, rows: [row] });
  }
  return sections.map((section) => ({
    ...section,
    passes: section.rows.filter(({ number }) => number !== null).length,
    handS: section.rows.reduce((sum, { handS }) => sum + handS, 0),
  }));
}
