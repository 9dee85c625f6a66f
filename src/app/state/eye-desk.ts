import { Injectable, computed, inject, signal } from '@angular/core';
import type { Calibration, PracticeSession } from '@esmero/model';
import { eyeText } from '@esmero/messages';
import { Entries } from './entries';

/** Whose hand and eye it is, what they were calibrated with, and what they practised. */
@Injectable({ providedIn: 'root' })
export class EyeDesk {
  private readonly entries = inject(Entries);

  readonly calibrations = computed(() => this.entries.items('calibration'));
  readonly sessions = computed(() => this.entries.items('practice'));
  private readonly picked = signal<string | null>(null);
  /** Who was there last, until somebody says otherwise. */
  readonly person = computed(() => this.picked() ?? this.latest() ?? eyeText.me);
  readonly persons = computed(() => [
    ...new Set([
      this.person(),
      ...this.calibrations().map(({ person }) => person),
      ...this.sessions().map(({ name }) => name),
    ]),
  ]);

  private readonly latest = computed(() => {
    const noted = [
      ...this.calibrations().map(({ person, at }) => ({ person, at })),
      ...this.sessions().map(({ name, tries }) => ({ person: name, at: tries.at(-1)?.at ?? 0 })),
    ];
    return noted.sort((p, q) => q.at - p.at)[0]?.person ?? null;
  });

  pick(person: string): void {
    if (person.trim() !== '') this.picked.set(person.trim());
  }

  calibrate(calibration: Calibration): void {
    this.entries.put('calibration', calibration);
  }

  forget(calibration: Calibration): void {
    this.entries.archive('calibration', calibration);
  }

  keep(session: PracticeSession): void {
    this.entries.put('practice', session);
  }
}
