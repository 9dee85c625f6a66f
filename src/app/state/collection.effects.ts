import { inject } from '@angular/core';
import { Actions, createEffect, ofType } from '@ngrx/effects';
import { concatLatestFrom } from '@ngrx/operators';
import { Store as State } from '@ngrx/store';
import { catchError, concatMap, filter, from, map, mergeMap, of, switchMap, take, tap } from 'rxjs';
import { storeText } from '@esmero/frame';
import { type LibraryEntry, libraryKinds } from '@esmero/model';
import type { KeepFault, Kept, Store } from '@esmero/store';
import { deskFeature } from './desk';
import { PLANNING, STORE, TABS } from './ports';
import { SEEDED, WITHOUT_PAST } from './seeded';
import { collectionActions, collectionFeature } from './collection';
import { Unsent } from './unsent';

async function contents(store: Store) {
  const [library, jobs, movements] = await Promise.all([store.library(), store.briefs(), store.movements()]);
  return collectionActions.loaded({ keeping: store.keeping, library, jobs, movements });
}

const textOf = (error: unknown): string => (error instanceof Error ? error.message : String(error));

/** Why something was not stored, and what to do. */
export function faultText(fault: KeepFault): string {
  switch (fault.kind) {
    case 'full':
      return storeText.full;
    case 'newer':
      return storeText.newer;
    case 'failed':
      return storeText.failed(fault.message);
  }
}

const outcome = (
  kept: Kept,
  done: ReturnType<typeof collectionActions.written> | ReturnType<typeof collectionActions.posted>,
) => (kept.kind === 'kept' ? done : collectionActions.problem({ message: faultText(kept) }));

export const loadCollection = createEffect(
  (actions = inject(Actions), store = inject(STORE)) =>
    actions.pipe(
      ofType(collectionActions.load),
      switchMap(() =>
        from(store.then(contents)).pipe(
          catchError((error: unknown) => of(collectionActions.unreadable({ message: textOf(error) }))),
        ),
      ),
    ),
  { functional: true },
);

const isOfLibrary = ({ kind }: LibraryEntry): boolean => (libraryKinds as readonly string[]).includes(kind);

/** Items are saved one after the other: each is compared with what the last one left. */
export const writeEntry = createEffect(
  (actions = inject(Actions), store = inject(STORE), unsent = inject(Unsent)) =>
    actions.pipe(
      ofType(collectionActions.putEntry),
      tap((action) => unsent.add(action)),
      concatMap(async (action) => {
        const { entry, base } = action;
        const saved = await (await store).saveEntry(entry, base);
        unsent.done(action);
        switch (saved.kind) {
          case 'saved':
            return collectionActions.entrySaved({ stored: saved.stored });
          case 'conflict':
            // Items of the library are compared; what has a page of its own is soon changed once more.
            if (!isOfLibrary(entry))
              return collectionActions.problem({ message: storeText.changedElsewhere(entry.item.name) });
            return collectionActions.entryConflict({ mine: saved.mine, theirs: saved.theirs, fields: saved.fields });
          default:
            return collectionActions.problem({ message: faultText(saved) });
        }
      }),
    ),
  { functional: true },
);

/** What a page before this one could not send any more goes now, as if it were changed here. */
export const sendUnsent = createEffect(
  (actions = inject(Actions), unsent = inject(Unsent)) =>
    actions.pipe(
      ofType(collectionActions.loaded),
      filter(({ keeping }) => keeping === 'for-good'),
      take(1),
      mergeMap(() => from(unsent.takeUp())),
    ),
  { functional: true },
);

/** Every other write. */
export const writeChanges = createEffect(
  (actions = inject(Actions), store = inject(STORE), unsent = inject(Unsent)) =>
    actions.pipe(
      ofType(
        collectionActions.deleteEntry,
        collectionActions.addJob,
        collectionActions.archiveJobs,
        collectionActions.deleteJobs,
        collectionActions.post,
      ),
      mergeMap(async (action) => {
        const kept = await store;
        switch (action.type) {
          case collectionActions.deleteEntry.type:
            return outcome(await kept.deleteEntry(action.entry), collectionActions.written());
          case collectionActions.addJob.type: {
            const saved = await kept.saveJob(action.job, null);
            return outcome(
              saved.kind === 'saved' || saved.kind === 'conflict' ? { kind: 'kept' } : saved,
              collectionActions.written(),
            );
          }
          case collectionActions.archiveJobs.type:
            return outcome(await kept.archiveJobs(action.ids, action.archived), collectionActions.written());
          case collectionActions.deleteJobs.type:
            return outcome(await kept.deleteJobs(action.ids), collectionActions.written());
          case collectionActions.post.type: {
            unsent.add(action);
            const posted = await kept.post(action.movements);
            unsent.done(action);
            return outcome(posted, collectionActions.posted());
          }
        }
      }),
    ),
  { functional: true },
);

/** A job goes to another day; what was changed of it meanwhile stays. */
export const moveJob = createEffect(
  (actions = inject(Actions), store = inject(STORE)) =>
    actions.pipe(
      ofType(collectionActions.moveJob),
      concatMap(async ({ id, day }) => {
        const kept = await store;
        const stored = await kept.job(id);
        if (!stored) return collectionActions.written();
        const saved = await kept.saveJob({ ...stored.job, ...day }, stored.revision);
        // Whoever has saved it meanwhile keeps what they have; it can be moved once more.
        return outcome(
          saved.kind === 'saved' || saved.kind === 'conflict' ? { kind: 'kept' } : saved,
          collectionActions.written(),
        );
      }),
    ),
  { functional: true },
);

/** What is on the page goes into the database that was deleted underneath. */
export const rescueAll = createEffect(
  (actions = inject(Actions), state = inject(State), store = inject(STORE)) =>
    actions.pipe(
      ofType(collectionActions.rescueAll),
      concatLatestFrom(() => [
        state.select(collectionFeature.selectLibrary),
        state.select(collectionFeature.selectMovements),
        state.select(deskFeature.selectJob),
      ]),
      concatMap(async ([, library, movements, job]) => {
        const kept = await store;
        const done = await kept.merge({ library, jobs: job ? [job] : [], movements, photos: [] });
        // No demo beside what was saved.
        await kept.keepSetting(SEEDED, true);
        return outcome(done, collectionActions.written());
      }),
    ),
  { functional: true },
);

/** The past of a demo that was just laid in: worked out beside the page, which does not wait for it. */
export const fillLog = createEffect(
  (actions = inject(Actions), store = inject(STORE), planning = inject(PLANNING)) =>
    actions.pipe(
      ofType(collectionActions.loaded),
      take(1),
      concatMap(() => store),
      concatMap(async (kept) => {
        const isWanted = async (): Promise<boolean> => (await kept.setting(SEEDED)) === WITHOUT_PAST;
        if (!(await isWanted())) return false;
        const { today } = await import('./today');
        const jobs = await planning.past(today());
        // All may have been deleted meanwhile, or another tab may have been quicker.
        if (!(await isWanted())) return false;
        const done = await kept.merge({ library: [], jobs, movements: [], photos: [] });
        if (done.kind === 'kept') await kept.keepSetting(SEEDED, true);
        return done.kind === 'kept';
      }),
      // Without it the demo just has an empty log.
      catchError(() => of(false)),
      filter((filled) => filled),
      map(() => collectionActions.load()),
    ),
  { functional: true },
);

/** What is shown after a write is what was kept; what was posted or put is shown already, unless something else was fetched meanwhile. */
export const reloadAfterWrite = createEffect(
  (actions = inject(Actions), state = inject(State)) =>
    actions.pipe(
      ofType(
        collectionActions.loaded,
        collectionActions.written,
        collectionActions.posted,
        collectionActions.entrySaved,
        collectionActions.entryConflict,
        collectionActions.problem,
      ),
      concatLatestFrom(() => state.select(collectionFeature.selectShelfState)),
      filter(
        ([{ type }, { stale, writing }]) =>
          type === collectionActions.written.type ||
          type === collectionActions.problem.type ||
          (stale && writing === 0),
      ),
      map(() => collectionActions.load()),
    ),
  { functional: true },
);

export const tellAfterWrite = createEffect(
  (actions = inject(Actions), tabs = inject(TABS)) =>
    actions.pipe(
      ofType(collectionActions.written, collectionActions.posted, collectionActions.entrySaved),
      tap(() => tabs.tell({ kind: 'library-changed' })),
    ),
  { functional: true, dispatch: false },
);
