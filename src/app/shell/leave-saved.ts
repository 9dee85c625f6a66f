import { inject } from '@angular/core';
import type { CanDeactivateFn } from '@angular/router';
import { Store as State } from '@ngrx/store';
import { ConfirmationService } from 'primeng/api';
import { Observable, filter, of, race, switchMap, take, timer, withLatestFrom } from 'rxjs';
import { frameText } from '@esmero/frame';
import { deskActions, deskFeature } from '../state/desk';
import { isKeptAside } from '../state/rescue';
import { faultText } from '../state/collection.effects';
import type { Saving } from '../state/desk';

/** Longest that leaving a job waits for it to be saved. */
const WAIT_MS = 3000;

function why(saving: Saving): string {
  if (saving.kind === 'conflict') return frameText.twoPlaces;
  return saving.kind === 'full' || saving.kind === 'failed' || saving.kind === 'newer'
    ? faultText(saving)
    : frameText.slowSave;
}

/** A job is left when it has been saved, or when somebody says so who knows that it has not. */
export const leaveSaved: CanDeactivateFn<unknown> = () => {
  const [state, confirmation] = [inject(State), inject(ConfirmationService)];
  state.dispatch(deskActions.flush());
  const saving = state.select(deskFeature.selectSaving);
  const settled = saving.pipe(filter(({ kind }) => kind !== 'dirty'));
  return race(settled, timer(WAIT_MS)).pipe(
    take(1),
    withLatestFrom(saving, state.select(deskFeature.selectJob)),
    switchMap(([, now, job]) => {
      if (now.kind === 'clean' || !job) return of(true);
      const after = isKeptAside(job.id) ? frameText.keptAside : frameText.changeLost;
      return new Observable<boolean>((answer) => {
        const say = (leave: boolean): void => {
          answer.next(leave);
          answer.complete();
        };
        confirmation.confirm({
          header: 'This job is not saved',
          message: `${why(now)} ${after}`,
          acceptLabel: 'Leave',
          rejectLabel: 'Stay',
          defaultFocus: 'reject',
          accept: () => say(true),
          reject: () => say(false),
        });
      });
    }),
  );
};
