import { describe, expect, it } from 'vitest';
import { TestBed } from '@angular/core/testing';
import { noteEvent, setChoices, startRun } from '@esmero/core';
import type { Job } from '@esmero/model';
import { memoryStore } from '@esmero/store';
import { deck, deskWith } from '../testing/desk';
import { deskActions, deskFeature } from './desk';
import { JobDesk } from './job-desk';
import { PLANNING } from './ports';

const savingOf = (): string => TestBed.inject(JobDesk).saving().kind;

describe('the desk at work', () => {
  it('opens a job and plans it', async () => {
    await deskWith();
    const desk = TestBed.inject(JobDesk);
    expect(desk.job()?.id).toBe(deck.id);
    expect(desk.plan()?.method).toBe('rinseless');
    expect(desk.zonePlans().size).toBe(desk.zones().length);
  });

  it('plans and saves what is changed, and tells the other tabs', async () => {
    const { store, told, settle } = await deskWith();
    const desk = TestBed.inject(JobDesk);
    desk.edit('Approach', (job) => setChoices(job, { method: 'decline' }));
    expect(savingOf()).toBe('dirty');
    await settle();
    expect(desk.plan()?.method).toBe('decline');
    expect(desk.planState().cause).toBe('Approach');
    expect(savingOf()).toBe('clean');
    expect((await store.job(deck.id))?.job.choices.method).toBe('decline');
    expect(told).toContainEqual({ kind: 'job-saved', id: deck.id, revision: 2 });
  });

  it('says when a job is not here', async () => {
    const { state, settle } = await deskWith();
    state.dispatch(deskActions.open({ id: 'nowhere' }));
    await settle();
    expect(TestBed.inject(JobDesk).opening()).toBe('missing');
  });

  it('finds that another tab has saved in between, and writes nothing until that is settled', async () => {
    const { state, store, settle } = await deskWith();
    const desk = TestBed.inject(JobDesk);
    await store.saveJob({ ...deck, name: 'Theirs' }, 1);
    desk.edit('Mine', (job) => ({ ...job, name: 'Mine' }));
    await settle();
    expect(TestBed.inject(JobDesk).saving()).toMatchObject({ kind: 'conflict', fields: ['name'] });
    expect((await store.job(deck.id))?.job.name).toBe('Theirs');
    state.dispatch(deskActions.keepMine());
    await settle();
    expect(savingOf()).toBe('clean');
    expect((await store.job(deck.id))?.job.name).toBe('Mine');
  });

  it('follows another tab when there is nothing of its own to lose', async () => {
    const { state, store, settle } = await deskWith();
    await store.saveJob({ ...deck, name: 'Theirs' }, 1);
    state.dispatch(deskActions.savedElsewhere({ id: deck.id, revision: 2 }));
    await settle();
    expect(TestBed.inject(JobDesk).job()?.name).toBe('Theirs');
  });

  it('joins a run that was ticked off in two tabs at once, without asking', async () => {
    const { store, settle } = await deskWith();
    const desk = TestBed.inject(JobDesk);
    desk.edit('Begun', (job) => startRun(job, 1000));
    await settle();
    const ticked = (job: Job, section: number): Job =>
      noteEvent(job, { kind: 'wipe', zone: 'roof', section, of: 2, by: 0, at: 1000 + section });
    const kept = (await store.job(deck.id))!;
    await store.saveJob(ticked(kept.job, 1), kept.revision);
    desk.edit('Ticked', (job) => ticked(job, 2));
    await settle();
    await settle();
    expect(savingOf()).toBe('clean');
    expect(desk.job()!.run!.events.map((event) => event.at)).toEqual([1001, 1002]);
    expect((await store.job(deck.id))!.job).toEqual(desk.job());
  });

  it('keeps the job on the desk when the disk is full, and saves it when there is room', async () => {
    const inner = await memoryStore();
    let full = false;
    const { state, store, settle } = await deskWith({
      ...inner,
      saveJob: async (job, base) => (full ? { kind: 'full' } : inner.saveJob(job, base)),
    });
    full = true;
    TestBed.inject(JobDesk).edit('Renamed', (job) => ({ ...job, name: 'Renamed' }));
    await settle();
    expect(savingOf()).toBe('full');
    expect(TestBed.inject(JobDesk).job()?.name).toBe('Renamed');
    full = false;
    state.dispatch(deskActions.retrySave());
    await settle();
    expect(savingOf()).toBe('clean');
    expect((await store.job(deck.id))?.job.name).toBe('Renamed');
  });

  it('shows that the planner failed, and keeps the last plan', async () => {
    let broken = false;
    const { settle } = await deskWith(memoryStore(), [
      {
        provide: PLANNING,
        useFactory: () => ({
          plan: async () => (broken ? { kind: 'failed', message: 'gone' } : { kind: 'stale' }),
        }),
      },
    ]);
    const desk = TestBed.inject(JobDesk);
    expect(desk.plan()).toBeNull();
    broken = true;
    desk.edit('Anything', (job) => ({ ...job, note: 'x' }));
    await settle();
    expect(desk.planState().failure).toBe('gone');
  });

  it('undoes on the state and saves that, too', async () => {
    const { state, store, settle } = await deskWith();
    TestBed.inject(JobDesk).edit('Renamed', (job) => ({ ...job, name: 'Renamed' }));
    await settle();
    state.dispatch(deskActions.undo());
    await settle();
    expect((await store.job(deck.id))?.job.name).toBe(deck.name);
    let canRedo = false;
    state.select(deskFeature.selectCanRedo).subscribe((can) => (canRedo = can));
    expect(canRedo).toBe(true);
  });
});
