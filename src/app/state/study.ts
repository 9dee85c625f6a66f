import { DestroyRef, type Signal, computed, effect, inject, linkedSignal, untracked } from '@angular/core';
import type { About, Studies, StudyKind } from '@esmero/core';
import type { Job } from '@esmero/model';
import { JobDesk } from './job-desk';
import { PLANNING } from './ports';

type State<K extends StudyKind> =
  | { readonly kind: 'idle' }
  | { readonly kind: 'working'; readonly share: number }
  | { readonly kind: 'done'; readonly answer: Studies[K] }
  | { readonly kind: 'failed'; readonly message: string };

/** A long question: asked, watched, called off. About something else it is asked anew. */
export interface StudyDesk<K extends StudyKind> {
  readonly idle: Signal<boolean>;
  /** Share that is done while it is worked on, else null. */
  readonly share: Signal<number | null>;
  readonly answer: Signal<Studies[K] | null>;
  readonly failure: Signal<string | null>;
  ask(): Promise<void>;
  stop(): void;
}

/** Questions about a job. */
type JobStudyKind = { readonly [K in StudyKind]: Job extends About<K> ? K : never }[StudyKind];

export interface StudyWay {
  /** What is asked about, where it is not the very job on the desk. */
  readonly about?: (job: Job) => Job;
  /** Asked unasked, and again whenever the job is another; what was stopped stays stopped. */
  readonly atOnce?: boolean;
}

/** About the job on the desk. */
export function studyOf<K extends JobStudyKind>(
  kind: K,
  { about = (job) => job, atOnce = false }: StudyWay = {},
): StudyDesk<K> {
  const desk = inject(JobDesk);
  return questionOf(
    kind,
    computed(() => {
      const job = desk.job();
      return job && (about(job) as About<K>);
    }),
    atOnce,
  );
}

/**
 * About whatever there is; null is nothing to ask about. Belongs to the component that makes it, and is called off with it.
 * @param atOnce asked unasked, and again whenever it is about something else
 */
export function questionOf<K extends StudyKind>(kind: K, about: Signal<About<K> | null>, atOnce = false): StudyDesk<K> {
  const planning = inject(PLANNING);
  const idle: State<K> = { kind: 'idle' };
  const state = linkedSignal<About<K> | null, State<K>>({ source: about, computation: () => idle });
  const stop = (): void => {
    planning.stop(kind);
    state.set(idle);
  };
  inject(DestroyRef).onDestroy(() => planning.stop(kind));
  const ask = async (): Promise<void> => {
    const asked = about();
    if (!asked) return;
    state.set({ kind: 'working', share: 0 });
    const found = await planning.study(kind, asked, (share) => {
      if (about() === asked && state().kind === 'working') state.set({ kind: 'working', share });
    });
    if (about() !== asked || state().kind !== 'working') return;
    state.set(found.kind === 'stopped' ? idle : found);
  };
  if (atOnce)
    effect(() => {
      if (about()) untracked(() => void ask());
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
