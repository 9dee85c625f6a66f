import { type Remote, proxy, wrap } from 'comlink';
import type { About, StudyKind } from '@esmero/core';
import type { Job } from '@esmero/model';
import type { Day } from '@esmero/units';
import type { Answer, PlanBrief, Planner, Progress, StudyAnswer } from './protocol';

export type { PlanBrief } from './protocol';

/** Asks the planner, wherever it runs. */
type Ask = (job: Job) => Promise<Answer>;

export type Latest = Answer | { readonly kind: 'stale' };

/** A plan that something newer waits for may take so long; then it is stopped, ms. */
export const PATIENCE_MS = 250;

const failed = (error: unknown): { readonly kind: 'failed'; readonly message: string } => ({
  kind: 'failed',
  message: error instanceof Error ? error.message : String(error),
});

/**
 * One question at a time, and only the newest one waits: a question that has been overtaken is
 * answered `stale` without being asked, an answer that comes too late is dropped, and work that
 * lets a newer question wait for long is stopped.
 */
export class LatestOnly {
  private newest = 0;
  private busy: Promise<unknown> = Promise.resolve();
  /** Tells what is being worked on that something newer waits. */
  private overtake = (): void => undefined;

  /** @param stop ends what was asked, wherever it is; the next question is asked anew */
  constructor(
    private readonly ask: Ask,
    private readonly stop: () => void,
  ) {}

  async plan(job: Job): Promise<Latest> {
    const mine = ++this.newest;
    this.overtake();
    const before = this.busy;
    let done = (): void => undefined;
    this.busy = new Promise<void>((resolve) => (done = resolve));
    await before;
    const answer = mine === this.newest ? await this.asked(job) : STALE;
    done();
    return mine === this.newest ? answer : STALE;
  }

  private async asked(job: Job): Promise<Latest> {
    const since = performance.now();
    let timer: ReturnType<typeof setTimeout> | undefined;
    const stopped = new Promise<Latest>((resolve) => {
      this.overtake = (): void => {
        const leftMs = Math.max(0, PATIENCE_MS - (performance.now() - since));
        timer ??= setTimeout(() => {
          this.stop();
          resolve(STALE);
        }, leftMs);
      };
    });
    const answer = await Promise.race([this.ask(job).catch(failed), stopped]);
    clearTimeout(timer);
    this.overtake = (): void => undefined;
    return answer;
  }
}

const STALE = { kind: 'stale' } as const;

/** A planner in a worker of its own, as soon as it is first asked. */
class OwnWorker {
  private running:
    { readonly worker: Worker; readonly remote: Remote<Planner>; readonly failure: Promise<never> } | undefined;

  private started(): NonNullable<OwnWorker['running']> {
    if (this.running) return this.running;
    const worker = new Worker(new URL('./planner.worker', import.meta.url), { type: 'module' });
    // Rejects as soon as the worker itself breaks, so that no question waits for ever.
    const failure = new Promise<never>((_resolve, reject) =>
      worker.addEventListener('error', (event) =>
        reject(new Error(event.message || 'The planner could not be started. Reload the page.')),
      ),
    );
    failure.catch(() => undefined);
    return (this.running = { worker, remote: wrap<Planner>(worker), failure });
  }

  ask<T>(question: (planner: Remote<Planner>) => Promise<T>): Promise<T> {
    const { remote, failure } = this.started();
    return Promise.race([question(remote), failure]);
  }

  /** Tells it something, if it runs: nobody waits for an answer. */
  tell(told: (planner: Remote<Planner>) => Promise<unknown>): void {
    if (this.running) told(this.running.remote).catch(() => undefined);
  }

  end(): void {
    this.running?.worker.terminate();
    this.running = undefined;
  }
}

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

/** The planner in two web workers: one for the plan on the page, which is ended where it holds up a newer one, and one for all else. */
export function workerPlanner(): Planning {
  const [page, beside] = [new OwnWorker(), new OwnWorker()];
  const latest = new LatestOnly(
    (job) => page.ask((planner): Promise<Answer> => planner.plan(job)),
    () => page.end(),
  );
  return {
    plan: (job) => latest.plan(job),
    brief: (job) => beside.ask((planner) => planner.brief(job)).catch(() => null),
    study: <K extends StudyKind>(kind: K, about: About<K>, progress: Progress): Promise<StudyAnswer<K>> =>
      beside.ask((planner) => planner.study(kind, about, proxy(progress)) as Promise<StudyAnswer<K>>).catch(failed),
    stop: (kind) => beside.tell((planner) => planner.stop(kind)),
    past: (today) => beside.ask((planner) => planner.past(today)),
  };
}
