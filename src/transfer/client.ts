import { type Remote, proxy, wrap } from 'comlink';
import type { Store } from '@esmero/store';
import type { Ended, Transfer, Undone } from './transfer';

type Failed = Extract<Ended, { readonly kind: 'failed' }>;

/** Work that has not come to its end so long after it was called off is cut off, ms. */
const CUT_OFF_MS = 2000;

const newWorker = (): Worker => new Worker(new URL('./transfer.worker', import.meta.url), { type: 'module' });

/** A worker, and what it breaks with. */
class Line {
  private readonly worker = newWorker();
  readonly remote: Remote<Transfer> = wrap<Transfer>(this.worker);
  private cut: (answer: Ended) => void = () => undefined;
  /** Whatever breaks in the worker, or with it, is an answer, so that nobody waits for ever. */
  readonly broken = new Promise<Ended>((resolve) => {
    this.cut = resolve;
    this.worker.addEventListener('error', (event) =>
      resolve({
        kind: 'failed',
        message: event.message || 'This part of Esmero could not be loaded. Reload the page.',
      }),
    );
  });

  end(): void {
    this.worker.terminate();
    this.cut({ kind: 'stopped' });
  }
}

const failedWith = (error: unknown): Failed => ({
  kind: 'failed',
  message: error instanceof Error ? error.message : String(error),
});

function inWorker(): Transfer {
  let line = new Line();
  let waiting = 0;
  /** @typeParam T what crosses: the library takes unions apart */
  const answered = async <T>(ask: (remote: Remote<Transfer>) => Promise<unknown>): Promise<T> => {
    waiting++;
    const { remote, broken } = line;
    return (await Promise.race([ask(remote), broken])
      .catch(failedWith)
      .finally(() => waiting--)) as T;
  };
  /** Somebody called it off: what does not listen is ended, and the next work gets a worker of its own. */
  const stop = (): void => {
    const called = line;
    void called.remote.stop();
    setTimeout(() => {
      if (waiting === 0 || line !== called) return;
      line = new Line();
      called.end();
    }, CUT_OFF_MS);
  };
  return {
    backup: (to, progress) => answered((remote) => remote.backup(to, proxy(progress))),
    collection: () => line.remote.collection(),
    review: (file, progress) => answered((remote) => remote.review(file, proxy(progress))),
    openForeign: (file, encoding, span, progress) =>
      answered((remote) => remote.openForeign(file, encoding, span, proxy(progress))),
    lookAtTable: (kind, taken, currency, progress) =>
      answered((remote) => remote.lookAtTable(kind, taken, currency, proxy(progress))),
    reviewForeign: (progress) => answered((remote) => remote.reviewForeign(proxy(progress))),
    apply: (choices, file, progress) => answered((remote) => remote.apply(choices, file, proxy(progress))),
    undo: (progress) => answered<Undone>((remote) => remote.undo(proxy(progress))),
    stop,
  };
}

/** In a worker of its own, so that the page stays free; on the page only where nothing is kept and there is little. */
export async function transferFor(store: Store): Promise<Transfer> {
  if (store.keeping === 'for-good' && typeof Worker !== 'undefined') return inWorker();
  const { transferOn } = await import('./transfer');
  return transferOn(Promise.resolve(store));
}
