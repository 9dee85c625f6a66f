import { inject } from '@angular/core';
import { Actions, createEffect, ofType } from '@ngrx/effects';
import { concatLatestFrom } from '@ngrx/operators';
import { Store as State } from '@ngrx/store';
import { filter, from, map, mergeMap, switchMap, tap } from 'rxjs';
import type { KeepFault, Kept, Store } from '@esmero/store';
import { STORE, TABS } from './ports';
import { shelfActions, shelfFeature } from './shelf';

async function contents(store: Store) {
  const [library, jobs, movements] = await Promise.all([store.library(), store.briefs(), store.movements()]);
  return shelfActions.loaded({ durable: store.durable, library, jobs, movements });
}

export const faultText = (fault: KeepFault): string =>
  fault.kind === 'full'
    ? 'The browser’s storage is full. Export what matters, free some space, then try again.'
    : `The browser did not store it: ${fault.message}. Export what matters, then reload.`;

const outcome = (kept: Kept, done: ReturnType<typeof shelfActions.merged> | ReturnType<typeof shelfActions.posted>) =>
  kept.kind === 'kept' ? done : shelfActions.problem({ message: faultText(kept) });

const merged = (what = '') => shelfActions.merged({ what });

export const loadShelf = createEffect(
  (actions = inject(Actions), store = inject(STORE)) =>
    actions.pipe(
      ofType(shelfActions.load),
      switchMap(() => from(store.then(contents))),
    ),
  { functional: true },
);

/** Every write to the shelf. */
export const writeShelf = createEffect(
  (actions = inject(Actions), store = inject(STORE)) =>
    actions.pipe(
      ofType(shelfActions.putEntry, shelfActions.addJob, shelfActions.archiveJob, shelfActions.merge, shelfActions.post),
      mergeMap(async (action) => {
        const kept = await store;
        switch (action.type) {
          case shelfActions.putEntry.type:
            return outcome(await kept.saveEntry(action.entry), merged());
          case shelfActions.addJob.type:
            return outcome(await kept.merge({ library: [], jobs: [action.job], movements: [], photos: [] }), merged());
          case shelfActions.archiveJob.type:
            return outcome(await kept.archiveJob(action.id, action.archived), merged());
          case shelfActions.post.type:
            return outcome(await kept.merge({ library: action.entries, jobs: [], photos: [], movements: action.movements }), shelfActions.posted());
          case shelfActions.merge.type:
            return outcome(await kept.merge(action.collection), merged(action.what));
        }
      }),
    ),
  { functional: true },
);

/** What is shown after a write is what was kept; what was posted is shown already, unless something else was fetched meanwhile. */
export const reloadAfterWrite = createEffect(
  (actions = inject(Actions), state = inject(State)) =>
    actions.pipe(
      ofType(shelfActions.merged, shelfActions.posted, shelfActions.problem),
      concatLatestFrom(() => state.select(shelfFeature.selectStale)),
      filter(([{ type }, stale]) => type !== shelfActions.posted.type || stale),
      map(() => shelfActions.load()),
    ),
  { functional: true },
);

export const tellAfterWrite = createEffect(
  (actions = inject(Actions), tabs = inject(TABS)) =>
    actions.pipe(
      ofType(shelfActions.merged, shelfActions.posted),
      tap(() => tabs.tell({ kind: 'library-changed' })),
    ),
  { functional: true, dispatch: false },
);
