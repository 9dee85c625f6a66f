import { inject } from '@angular/core';
import { Actions, createEffect, ofType } from '@ngrx/effects';
import { concatLatestFrom } from '@ngrx/operators';
import { Store as State } from '@ngrx/store';
import { EMPTY, concatMap, filter, from, map, merge, mergeMap, of, switchMap, tap, throttleTime } from 'rxjs';
import type { Job } from '@esmero/core';
import type { Store, Tabs } from '@esmero/store';
import { deskActions, deskFeature } from './desk';
import { PLANNING, SAVE_AFTER, STORE, TABS } from './ports';
import { leaveBehind } from './rescue';
import { planActions } from './plan';
import { shelfActions } from './shelf';

/** Brings a job from the store onto the desk. */
export const openJob = createEffect(
  (actions = inject(Actions), store = inject(STORE)) =>
    actions.pipe(
      ofType(deskActions.open),
      switchMap(({ id }) => from(store.then((s) => s.job(id)))),
      map((stored) => (stored ? deskActions.opened({ stored }) : deskActions.missing())),
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
        deskActions.takeTheirs,
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
  const saved = await store.saveJob(job, base);
  switch (saved.kind) {
    case 'saved':
      tabs.tell({ kind: 'job-saved', id: job.id, revision: saved.revision });
      return deskActions.saved({ job, revision: saved.revision });
    case 'conflict':
      return deskActions.conflictFound({ theirs: saved.theirs });
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
        ofType(deskActions.flush, deskActions.keepMine, deskActions.keepBoth, deskActions.retrySave),
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
  (actions = inject(Actions), state = inject(State)) =>
    actions.pipe(
      ofType(deskActions.flush),
      concatLatestFrom(() => state.select(deskFeature.selectDeskState)),
      tap(([, { job, revision, saving }]) => {
        if (job && saving.kind === 'dirty') leaveBehind({ job, base: revision });
      }),
    ),
  { functional: true, dispatch: false },
);

/** A run that was ticked off in two tabs at once is one run: nobody has to be asked. */
export const joinRunsOfTabs = createEffect(
  (actions = inject(Actions), state = inject(State)) =>
    actions.pipe(
      ofType(deskActions.conflictFound),
      concatLatestFrom(() => state.select(deskFeature.selectJob)),
      mergeMap(([{ theirs }, mine]) =>
        // Fetched when it is needed: the first page does without the core.
        from(import('@esmero/core')).pipe(
          mergeMap(({ joinRuns }) => {
            const job = mine && joinRuns(mine, theirs.job);
            return job ? of(deskActions.edited({ job, cause: 'Joined with the other tab', stroke: null }), deskActions.keepMine()) : EMPTY;
          }),
        ),
      ),
    ),
  { functional: true },
);

/** Another tab has saved this job: without changes of our own we follow it; with them, we ask. */
export const followOtherTabs = createEffect(
  (actions = inject(Actions), state = inject(State), store = inject(STORE)) =>
    actions.pipe(
      ofType(deskActions.savedElsewhere),
      concatLatestFrom(() => state.select(deskFeature.selectDeskState)),
      filter(([{ id, revision }, desk]) => desk.job?.id === id && desk.revision < revision),
      switchMap(([{ id }, desk]) =>
        from(store.then((s) => s.job(id))).pipe(
          mergeMap((stored) => {
            if (!stored) return EMPTY;
            return desk.saving.kind === 'clean'
              ? of(deskActions.opened({ stored }))
              : of(deskActions.conflictFound({ theirs: stored }));
          }),
        ),
      ),
    ),
  { functional: true },
);

/** The list of jobs shows what was just saved or opened, without reading all of it again. */
export const relistAfterSave = createEffect(
  (actions = inject(Actions)) =>
    actions.pipe(
      ofType(deskActions.saved, deskActions.opened),
      map((action) => {
        if (action.type === deskActions.opened.type) return shelfActions.listed({ stored: action.stored });
        const { job, revision } = action;
        return shelfActions.listed({ stored: { id: job.id, job, revision, changedAt: Date.now(), archived: false } });
      }),
    ),
  { functional: true },
);

/** What another tab has saved stands in the list of this one, too. */
export const relistSavedElsewhere = createEffect(
  (actions = inject(Actions), store = inject(STORE)) =>
    actions.pipe(
      ofType(deskActions.savedElsewhere),
      mergeMap(({ id }) => from(store.then((kept) => kept.job(id)))),
      mergeMap((stored) => (stored ? of(shelfActions.listed({ stored })) : EMPTY)),
    ),
  { functional: true },
);
