import { inject } from '@angular/core';
import type { CanDeactivateFn } from '@angular/router';
import { Store as State } from '@ngrx/store';
import { filter, map, race, take, timer } from 'rxjs';
import { deskActions, deskFeature } from '../state/desk';

/** Longest that leaving a job waits for it to be saved. */
const WAIT_MS = 3000;

/** A job is left when it has been saved, or when saving it has met a problem that is shown. */
export const leaveSaved: CanDeactivateFn<unknown> = () => {
  const state = inject(State);
  state.dispatch(deskActions.flush());
  const settled = state.select(deskFeature.selectSaving).pipe(filter(({ kind }) => kind !== 'dirty'));
  return race(settled, timer(WAIT_MS)).pipe(
    take(1),
    map(() => true),
  );
};
