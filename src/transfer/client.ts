import { type Remote, proxy, wrap } from 'comlink';
import type { Store } from '@esmero/store';
import type { Applied } from './apply';
import type { Backup, Reviewed, Transfer, Undone } from './transfer';

interface Failed { readonly kind: 'failed'; readonly message: string }

/** Whatever breaks in the worker, or with it, is an answer, so that nobody waits for ever. */
function inWorker(worker: Worker): Transfer {
  const remote: Remote<Transfer> = wrap<Transfer>(worker);
  const broken = new Promise<never>((_resolve, reject) =>
    worker.addEventListener('error', (event) => reject(new Error(event.message || 'This part of Esmero could not be loaded. Reload the page.'))),
  );
  broken.catch(() => undefined);
  /** @typeParam T what crosses: the library takes unions apart */
  const answered = <T>(answer: Promise<unknown>): Promise<T | Failed> =>
    Promise.race([answer as Promise<T>, broken]).catch((error: unknown): Failed => ({ kind: 'failed', message: error instanceof Error ? error.message : String(error) }));
  return {
    backup: (to, progress) => answered<Backup>(remote.backup(to, proxy(progress))),
    collection: () => remote.collection(),
    review: (file, progress) => answered<Reviewed>(remote.review(file, proxy(progress))),
    apply: (choices, file, progress) => answered<Applied>(remote.apply(choices, file, proxy(progress))),
    undo: (progress) => answered<Undone>(remote.undo(proxy(progress))),
    stop: () => void remote.stop(),
  };
}

/** In a worker of its own, so that the page stays free; on the page only where nothing is kept and there is little. */
export async function transferFor(store: Store): Promise<Transfer> {
  if (store.keeping === 'for-good' && typeof Worker !== 'undefined')
    return inWorker(new Worker(new URL('./transfer.worker', import.meta.url), { type: 'module' }));
  const { transferOn } = await import('./transfer');
  return transferOn(Promise.resolve(store));
}
