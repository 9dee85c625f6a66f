import { proxy, wrap } from 'comlink';
import type { About, StudyKind } from '@esmero/core';
import type { Job } from '@esmero/model';
import type { Day } from '@esmero/units';
import type { Answer, PlanBrief, Planner, Progress, StudyAnswer } from './protocol';

export type { Answer, PlanBrief, Planner, Progress, StudyAnswer } from './protocol';

/** Asks the planner, wherever it runs. */
type Ask = (job: Job) => Promise<Answer>;

export type Latest = Answer | { readonly kind: 'stale' };

/**
 * One question at a time, and only the newest one waits: a question that has been overtaken is
 * answered `stale` without being asked, and an answer that comes too late is dropped.
 */
export class LatestOnly {
  private newest = 0;
  private busy: Promise<unknown> = Promise.resolve();

  constructor(private readonly ask: Ask) {}

  async plan(job: Job): Promise<Latest> {
    const mine = ++this.newest;
    const before = this.busy;
    let done = (): void => {};
    this.busy = new Promise<void>((resolve) => (done = resolve));
    await before;
    if (mine !== this.newest) {
      done();
      return { kind: 'stale' };
    }
    const answer = await this.ask(job).catch((error: unknown): Answer => ({
      kind: 'failed',
      message: error instanceof Error ? error.message : String(error),
    }));
    done();
    return mine === this.newest ? answer : { kind: 'stale' };
  }
}

/** Rejects as soon as the worker itself breaks, so that no question waits for ever. */
const broken = (worker: Worker): Promise<never> =>
  new Promise((_resolve, reject) => {
    worker.addEventListener('error', (event) =>
      reject(new Error(event.message || 'The planner could not be started. Reload the page.')),
    );
  });

/** What the application asks of the worker. */
export interface Planning {
  plan(job: Job): Promise<Latest>;
  /** For a list: every job that is asked about gets its answer. */
  brief(job: Job): Promise<PlanBrief>;
  /** A long question; the same one about something else stops it. */
  study<K extends StudyKind>(kind: K, about: About<K>, progress: Progress): Promise<StudyAnswer<K>>;
  stop(kind: StudyKind): void;
  /** Runs that the demo had before its first start. */
  past(today: Day): Promise<readonly Job[]>;
}

/** The planner in a web worker of its own. */
export function workerPlanner(): Planning {
  const worker = new Worker(new URL('./planner.worker', import.meta.url), { type: 'module' });
  const remote = wrap<Planner>(worker);
  const failure = broken(worker);
  failure.catch(() => undefined);
  const latest = new LatestOnly((job) => Promise.race([remote.plan(job), failure]));
  return {
    plan: (job) => latest.plan(job),
    brief: (job) => Promise.race([remote.brief(job), failure]).catch(() => null),
    study: <K extends StudyKind>(kind: K, about: About<K>, progress: Progress): Promise<StudyAnswer<K>> =>
      Promise.race([remote.study(kind, about, proxy(progress)) as Promise<StudyAnswer<K>>, failure]).catch(
        (error: unknown) => ({
          kind: 'failed',
          message: error instanceof Error ? error.message : String(error),
        }),
      ),
    stop: (kind) => void remote.stop(kind),
    past: (today) => Promise.race([remote.past(today), failure]),
  };
}
