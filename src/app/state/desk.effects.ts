import { DOCUMENT, inject } from '@angular/core';
import { Actions, createEffect, ofType } from '@ngrx/effects';
import { concatLatestFrom } from '@ngrx/operators';
import { Store as State } from '@ngrx/store';
import {
  EMPTY,
  catchError,
  concatMap,
  filter,
  from,
  map,
  merge,
  mergeMap,
  of,
  switchMap,
  tap,
  throttleTime,
} from 'rxjs';
import type { Job } from '@esmero/model';
import type { Store, Tabs } from '@esmero/store';
import { deskActions, deskFeature } from './desk';
import { PLANNING, SAVE_AFTER, STORE, TABS } from './ports';
import { type Rescue, forget, isLeftBehind, leaveBehind, whileSending } from './rescue';
import { planActions } from './plan';
import { collectionActions } from './collection';

/** What was left behind is read, with the steps from older versions, where there is something. */
const rescueOf = async (id: string): Promise<Rescue | null> =>
  isLeftBehind(id) ? (await import('./rescue-taken-up')).soundRescueOf(id) : null;

/** Brings a job from the store onto the desk. */
export const openJob = createEffect(
  (actions = inject(Actions), store = inject(STORE)) =>
    actions.pipe(
      ofType(deskActions.open),
      switchMap(({ id }) =>
        from(store.then(async (s) => ({ stored: await s.job(id), rescue: await rescueOf(id) }))).pipe(
          map(({ stored, rescue }) => {
            if (rescue) return deskActions.rescued({ rescue, stored: stored ?? null });
            return stored ? deskActions.opened({ stored }) : deskActions.missing();
          }),
          catchError((error: unknown) =>
            of(deskActions.unreadable({ message: error instanceof Error ? error.message : String(error) })),
          ),
        ),
      ),
    ),
  { functional: true },
);

/** Every change is planned in the worker; answers that come too late never get here. */
export const planDesk = createEffect(
  (actions = inject(Actions), state = inject(State), planning = inject(PLANNING)) =>
    actions.pipe(
      ofType(
        deskActions.opened,
        deskActions.edited,
        deskActions.undo,
        deskActions.redo,
        deskActions.theirsFound,
        deskActions.rescued,
        deskActions.takeTheirs,
        deskActions.keepMine,
      ),
      concatLatestFrom(() => [state.select(deskFeature.selectJob), state.select(deskFeature.selectCause)]),
      mergeMap(([, job, cause]) =>
        job
          ? from(planning.plan(job)).pipe(
              mergeMap((answer) => {
                if (answer.kind === 'stale') return EMPTY;
                return answer.kind === 'plan'
                  ? of(planActions.planned({ plan: answer.plan, cause }))
                  : of(planActions.failed({ message: answer.message }));
              }),
            )
          : EMPTY,
      ),
    ),
  { functional: true },
);

async function save(store: Store, tabs: Tabs, job: Job, base: number) {
  const saved = await whileSending(job, () => store.saveJob(job, base));
  switch (saved.kind) {
    case 'saved':
      tabs.tell({ kind: 'job-saved', id: job.id, revision: saved.revision });
      return deskActions.saved({ job, revision: saved.revision });
    case 'conflict':
      return deskActions.theirsFound({ theirs: saved.theirs });
    default:
      return deskActions.saveRefused({ fault: saved });
  }
}

/** Saves a change at once, a stroke of them in steps, all when the page is hidden; never two saves at a time. */
export const saveDesk = createEffect(
  (
    actions = inject(Actions),
    state = inject(State),
    store = inject(STORE),
    tabs = inject(TABS),
    after = inject(SAVE_AFTER),
  ) =>
    merge(
      actions.pipe(
        ofType(deskActions.edited, deskActions.undo, deskActions.redo),
        // The first change at once, so that a reload right after it finds it; a stroke in steps.
        throttleTime(after, undefined, { leading: true, trailing: true }),
      ),
      actions.pipe(
        ofType(
          ...[
            deskActions.flush,
            deskActions.keepMine,
            deskActions.takeTheirs,
            deskActions.keepBoth,
            deskActions.retrySave,
          ],
          ...[deskActions.theirsFound, deskActions.rescued],
        ),
      ),
    ).pipe(
      concatMap(() => from(store)),
      concatLatestFrom(() => state.select(deskFeature.selectDeskState)),
      filter(([, { job, saving }]) => job !== null && saving.kind !== 'clean' && saving.kind !== 'conflict'),
      concatMap(([kept]) =>
        // Taken when its turn has come: an earlier save may have raised the revision meanwhile.
        of(kept).pipe(
          concatLatestFrom(() => state.select(deskFeature.selectDeskState)),
          concatMap(([opened, { job, revision, saving }]) =>
            job && saving.kind !== 'clean' && saving.kind !== 'conflict'
              ? from(save(opened, tabs, job, revision))
              : EMPTY,
          ),
        ),
      ),
    ),
  { functional: true },
);

/** A page that goes away with something unsaved leaves it where the next one looks first. */
export const rescueDesk = createEffect(
  (actions = inject(Actions), state = inject(State), store = inject(STORE), document = inject(DOCUMENT)) =>
    actions.pipe(
      // Also what is changed while the page goes away already.
      ofType(deskActions.flush, deskActions.edited),
      filter(({ type }) => type === deskActions.flush.type || document.visibilityState === 'hidden'),
      concatLatestFrom(() => state.select(deskFeature.selectDeskState)),
      tap(([, { job, kept, revision, saving }]) => {
        if (job && saving.kind !== 'clean') leaveBehind({ job, kept, base: revision });
      }),
      // Where nothing outlives the tab, what was saved is not safe either.
      concatMap(([, { job, kept, revision, past }]) =>
        from(store).pipe(
          tap(
            (s) =>
              void (job && s.keeping !== 'for-good' && past.length > 0 && leaveBehind({ job, kept, base: revision })),
          ),
        ),
      ),
    ),
  { functional: true, dispatch: false },
);

/** What has been saved after all need not be rescued. */
export const forgetRescue = createEffect(
  (actions = inject(Actions), state = inject(State), store = inject(STORE)) =>
    actions.pipe(
      ofType(deskActions.saved, deskActions.theirsFound, deskActions.takeTheirs, deskActions.keepMine),
      concatLatestFrom(() => state.select(deskFeature.selectDeskState)),
      concatMap(([, { job, saving }]) =>
        from(store).pipe(
          tap((s) => void (job && saving.kind === 'clean' && s.keeping === 'for-good' && forget(job.id))),
        ),
      ),
    ),
  { functional: true, dispatch: false },
);

/** The copy takes over what was to be rescued of the other. */
export const rescueCopy = createEffect(
  (actions = inject(Actions), state = inject(State)) =>
    actions.pipe(
      ofType(deskActions.keepBoth),
      concatLatestFrom(() => state.select(deskFeature.selectDeskState)),
      tap(([{ instead }, { job, kept, revision }]) => {
        if (job && leaveBehind({ job, kept, base: revision })) forget(instead);
      }),
    ),
  { functional: true, dispatch: false },
);

/** Another tab or an import has saved this job. Whether it is followed or asked about is decided when it has come, not when it was sent for. */
export const followOthers = createEffect(
  (actions = inject(Actions), state = inject(State), store = inject(STORE)) =>
    actions.pipe(
      ofType(deskActions.savedElsewhere),
      concatLatestFrom(() => state.select(deskFeature.selectDeskState)),
      filter(([{ id, revision }, desk]) => desk.job?.id === id && desk.revision < revision),
      switchMap(([{ id }]) => from(store.then((s) => s.job(id))).pipe(catchError(() => EMPTY))),
      mergeMap((theirs) => (theirs ? of(deskActions.theirsFound({ theirs })) : EMPTY)),
    ),
  { functional: true },
);

/** The list of jobs shows what was just saved or opened, without reading all of it again. */
export const relistAfterSave = createEffect(
  (actions = inject(Actions)) =>
    actions.pipe(
      ofType(deskActions.saved, deskActions.opened),
      map((action) => {
        if (action.type === deskActions.opened.type) return collectionActions.listed({ stored: action.stored });
        const { job, revision } = action;
        return collectionActions.listed({
          stored: { id: job.id, job, revision, changedAt: Date.now(), vector: {}, archived: false },
        });
      }),
    ),
  { functional: true },
);

/** What another tab has saved stands in the list of this one, too. */
export const relistSavedElsewhere = createEffect(
  (actions = inject(Actions), store = inject(STORE)) =>
    actions.pipe(
      ofType(deskActions.savedElsewhere),
      mergeMap(({ id }) => from(store.then((kept) => kept.job(id))).pipe(catchError(() => EMPTY))),
      mergeMap((stored) => (stored ? of(collectionActions.listed({ stored })) : EMPTY)),
    ),
  { functional: true },
);
