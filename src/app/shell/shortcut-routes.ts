import { inject } from '@angular/core';
import { type CanActivateFn, Router } from '@angular/router';
import { Store as State } from '@ngrx/store';
import { freshId } from '@esmero/records';
import type { StoredBrief } from '@esmero/store';
import { STORE } from '../state/ports';
import { collectionActions } from '../state/collection';

/** A new job, from the icon of the installed application. */
export const newJobRoute: CanActivateFn = async () => {
  const [store, state, router] = [inject(STORE), inject(State), inject(Router)];
  // Fetched when they are asked for: the first page needs nothing of the core.
  const [{ newJob }, { today }] = await Promise.all([import('@esmero/core'), import('../state/today')]);
  const kept = await store;
  const job = newJob(freshId('job'), today(), await kept.library());
  await kept.saveJob(job, 0);
  state.dispatch(collectionActions.load());
  return router.createUrlTree(['/job', job.id, 'site']);
};

const isUnderWay = ({ job: { run } }: StoredBrief): boolean => run?.endedAt === null;
const isToDo = ({ job: { run, refused } }: StoredBrief): boolean => run === null && refused === null;

/** The run that is under way, or the next job that is still to be done. */
export const runRoute: CanActivateFn = async () => {
  const [store, router] = [inject(STORE), inject(Router)];
  const { today } = await import('../state/today');
  const open = (await (await store).briefs()).filter(({ archived }) => !archived);
  const next = open.filter(isToDo).sort((p, q) => p.job.date.localeCompare(q.job.date));
  const job = open.find(isUnderWay) ?? next.find((one) => one.job.date >= today()) ?? next[0];
  return router.createUrlTree(job ? ['/job', job.id, 'run'] : ['/jobs']);
};
