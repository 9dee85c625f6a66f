import { DestroyRef, type Signal, computed, effect, inject, linkedSignal, untracked } from '@angular/core';
import type { Studies, StudyKind } from '@esmero/core';
import type { Job } from '@esmero/model';
import { JobDesk } from './job-desk';
import { PLANNING } from './ports';

type State<K extends StudyKind> =
  | { readonly kind: 'idle' }
  | { readonly kind: 'working'; readonly share: number }
  | { readonly kind: 'done'; readonly answer: Studies[K] }
  | { readonly kind: 'failed'; readonly message: string };

/** A long question about the job on the desk: asked, watched, called off. Another job asks anew. */
export interface StudyDesk<K extends StudyKind> {
  readonly idle: Signal<boolean>;
  /** Share that is done while it is worked on, else null. */
  readonly share: Signal<number | null>;
  readonly answer: Signal<Studies[K] | null>;
  readonly failure: Signal<string | null>;
  ask(): Promise<void>;
  stop(): void;
}

export interface StudyWay {
  /** What is asked about, where it is not the very job on the desk. */
  readonly about?: (job: Job) => Job;
  /** Asked unasked, and again whenever the job is another; what was stopped stays stopped. */
  readonly atOnce?: boolean;
}

/** Belongs to the component that makes it, and is called off with it. */
export function studyOf<K extends StudyKind>(kind: K, { about = (job) => job, atOnce = false }: StudyWay = {}): StudyDesk<K> {
  const desk = inject(JobDesk);
  const planning = inject(PLANNING);
  const idle: State<K> = { kind: 'idle' };
  const state = linkedSignal<Job | null, State<K>>({ source: desk.job, computation: () => idle });
  const stop = (): void => {
    planning.stop(kind);
    state.set(idle);
  };
  inject(DestroyRef).onDestroy(() => planning.stop(kind));
  const ask = async (): Promise<void> => {
    const job = desk.job();
    if (!job) return;
    state.set({ kind: 'working', share: 0 });
    const found = await planning.study(kind, about(job), (share) => {
      if (desk.job() === job && state().kind === 'working') state.set({ kind: 'working', share });
    });
    if (desk.job() !== job || state().kind !== 'working') return;
    state.set(found.kind === 'stopped' ? idle : found);
  };
  if (atOnce)
    effect(() => {
      if (desk.job()) untracked(() => void ask());
    });
  return {
    idle: computed(() => state().kind === 'idle'),
    share: computed(() => {
      const now = state();
      return now.kind === 'working' ? now.share : null;
    }),
    answer: computed(() => {
      const now = state();
      return now.kind === 'done' ? now.answer : null;
    }),
    failure: computed(() => {
      const now = state();
      return now.kind === 'failed' ? now.message : null;
    }),
    ask,
    stop,
  };
}
