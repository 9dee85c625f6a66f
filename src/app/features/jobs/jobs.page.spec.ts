import { describe, expect, it, vi } from 'vitest';
import { TestBed } from '@angular/core/testing';
import { Router } from '@angular/router';
import { planRun, startRun } from '@esmero/core';
import { dayAfter } from '@esmero/units';
import type { Job } from '@esmero/model';
import { writeJob } from '@esmero/exchange';
import { type StoredJob, everyJob } from '@esmero/store';
import { type Choice, usual } from '@esmero/transfer';
import { deskActions } from '../../state/desk';
import { JobDesk } from '../../state/job-desk';
import { collectionActions } from '../../state/collection';
import { today } from '../../state/today';
import { TransferDesk } from '../../state/transfer-desk';
import { deck, deckToday, deskWith } from '../../testing/desk';
import { pressable } from '../../testing/pressable';
import { JobsPage } from './jobs.page';

async function show() {
  const desk = await deskWith();
  TestBed.inject(Router).resetConfig([{ path: '**', component: JobsPage }]);
  const fixture = TestBed.createComponent(JobsPage);
  const element = fixture.nativeElement as HTMLElement;
  // Rows come up a few at a time.
  await vi.waitFor(() => {
    fixture.detectChanges();
    expect(element.querySelectorAll('.job [aria-label^="What to do"]')).toHaveLength(15);
  }, 20_000);
  const give = async (name: string, text: string): Promise<void> => {
    const input = element.querySelector<HTMLInputElement>('input[type="file"]')!;
    Object.defineProperty(input, 'files', { configurable: true, value: [new File([text], name)] });
    Object.defineProperty(input, 'value', { configurable: true, writable: true, value: '' });
    input.dispatchEvent(new Event('change'));
    await vi.waitFor(() => {
      fixture.detectChanges();
      const transfer = TestBed.inject(TransferDesk);
      expect(transfer.review() ?? transfer.refusal()).not.toBeNull();
    }, 20_000);
  };
  /** What the dialog would do on “Import”. */
  const bring = async (choices: Record<string, Choice> = {}): Promise<void> => {
    const transfer = TestBed.inject(TransferDesk);
    const usualOnes = Object.fromEntries(
      transfer.review()!.review.rows.map(({ key, standing }) => [key, usual(standing)]),
    );
    await transfer.bring({ rows: { ...usualOnes, ...choices }, stock: false });
    await desk.settle();
    fixture.detectChanges();
  };
  const stored = async (): Promise<readonly StoredJob[]> => {
    const all: StoredJob[] = [];
    for await (const one of everyJob(desk.store)) all.push(one);
    return all;
  };
  /** Something from the menu of a job. */
  const menu = async (name: string, what: string): Promise<void> => {
    pressable(element, `What to do with ${name}`)!.click();
    await desk.settle();
    fixture.detectChanges();
    [...document.querySelectorAll<HTMLElement>('[role=menuitem] a')]
      .find((item) => item.textContent?.includes(what))!
      .click();
    await desk.settle();
    fixture.detectChanges();
  };
  return { ...desk, fixture, element, give, bring, menu, stored };
}

describe('the list of jobs', () => {
  it('shows every job and archives one', async () => {
    const { element, fixture, menu, settle, stored } = await show();
    expect(element.querySelectorAll('.job')).toHaveLength(15);
    await menu(deck.name, 'Archive');
    expect(element.querySelectorAll('.job')).toHaveLength(14);
    expect((await stored()).filter(({ archived }) => archived)).toHaveLength(1);
    pressable(element, 'Undo archiving')!.click();
    await settle();
    fixture.detectChanges();
    expect(element.querySelectorAll('.job')).toHaveLength(15);
  });

  it('says how each job is planned, and when it is due', async () => {
    const { element, fixture, settle, store, state } = await show();
    await store.saveJob({ ...deck, id: 'soon', name: 'Due tomorrow', date: dayAfter(today(), 1) }, null);
    state.dispatch(collectionActions.load());
    await settle();
    fixture.detectChanges();
    const row = (): HTMLElement =>
      [...element.querySelectorAll<HTMLElement>('.job')].find(({ textContent }) =>
        textContent?.includes('Due tomorrow'),
      )!;
    const { method, totals } = planRun(deck);
    await vi.waitFor(() => {
      fixture.detectChanges();
      expect(row().querySelector('esm-method-mark')?.getAttribute('data-method')).toBe(method);
    });
    expect(row().textContent).toContain(`${Math.round(totals.minutes.value)} min`);
    expect(row().querySelector('.day')!.textContent).toContain('tomorrow');
  });

  it('archives what is picked at once', async () => {
    const { element, fixture, settle, stored } = await show();
    for (const box of [...element.querySelectorAll<HTMLInputElement>('.job input[type=checkbox]')].slice(0, 3))
      box.click();
    fixture.detectChanges();
    pressable(element, 'Archive what is picked')!.click();
    await settle();
    fixture.detectChanges();
    expect((await stored()).filter(({ archived }) => archived)).toHaveLength(3);
    expect(element.querySelectorAll('.job')).toHaveLength(12);
  });

  it('copies a job without what happened on that day: no run, no pictures, no signature, no soil', async () => {
    const { give, bring, menu, settle, stored } = await show();
    const picture = { id: 'p', when: 'after', zone: null, note: '', photo: 'p' } as const;
    const done = {
      ...startRun(deck, 1),
      id: 'done',
      name: 'Done before',
      pictures: [picture],
      signed: { by: 'Somebody', at: 1, path: 'M0 0' },
    };
    await give('done.json', writeJob(done));
    await bring();
    await menu('Done before', 'Copy');
    for (let i = 0; i < 3; i++) await settle();
    const copy = (await stored()).find(({ job }) => job.name === 'Done before (copy)')!;
    expect(copy.job).toMatchObject({ run: null, pictures: [], signed: null, soil: {} });
  });

  it('is searched, shows what is to be done before what is over, and sorts by a column', async () => {
    const { element, fixture, settle, store, state } = await show();
    const over = (id: string, endedAt: number): Job => ({
      ...deck,
      id,
      name: `Visit ${id}`,
      run: { ...startRun(deck, 1).run!, endedAt },
    });
    await store.merge({
      library: [],
      movements: [],
      photos: [],
      jobs: [...Array.from({ length: 20 }, (_, i) => over(`old-${i}`, 1000 + i)), over('last', 5000)],
    });
    state.dispatch(collectionActions.load());
    for (let i = 0; i < 3; i++) await settle();
    fixture.detectChanges();
    const names = (): string[] => [...element.querySelectorAll('.job .open strong')].map((one) => one.textContent!);
    expect(names()).toHaveLength(36);
    expect(names()[15]).toBe('Visit last');
    expect(names()[16]).toBe('Visit old-19');
    [...element.querySelectorAll<HTMLElement>('th')].find((head) => head.textContent?.includes('Job'))!.click();
    fixture.detectChanges();
    expect(names()).toEqual([...names()].sort((p, q) => p.localeCompare(q)));
    const field = element.querySelector<HTMLInputElement>('input[type=search]')!;
    field.value = 'LAST visit';
    field.dispatchEvent(new Event('input'));
    fixture.detectChanges();
    expect(names()).toEqual(['Visit last']);
    field.value = '';
    field.dispatchEvent(new Event('input'));
    pressable(element, 'To do')!.click();
    fixture.detectChanges();
    expect(names()).toHaveLength(15);
    pressable(element, 'Over')!.click();
    fixture.detectChanges();
    expect(names()).toHaveLength(21);
    field.value = 'nothing of the kind';
    field.dispatchEvent(new Event('input'));
    fixture.detectChanges();
    expect(element.textContent).toContain('No jobs found');
  });

  it('brings in a job file', async () => {
    const { element, give, bring, store } = await show();
    await give('new.json', writeJob({ ...deck, id: 'brought', name: 'Brought in' }));
    await bring();
    expect((await store.job('brought'))?.job.name).toBe('Brought in');
    expect(element.textContent).toContain('Brought in');
    expect(element.querySelector('[data-refusal]')).toBeNull();
  });

  it('refuses a broken file with its reasons and changes nothing', async () => {
    const { element, give, stored } = await show();
    const before = await stored();
    await give('broken.json', writeJob(deck).replace('"zone": "bonnet"', '"zone": "hat"'));
    expect(element.querySelector('[data-refusal]')?.textContent).toContain('soil');
    expect(await stored()).toEqual(before);
  });

  it('shows HTML in a name as text', async () => {
    const { element, give, bring } = await show();
    await give('html.json', writeJob({ ...deck, id: 'html', name: '<img src=x onerror=alert(1)>' }));
    await bring();
    expect(element.querySelector('.job img')).toBeNull();
    expect(element.textContent).toContain('<img src=x');
  });

  it('asks about a job that is here already; the open one follows at once, and back again', async () => {
    const { give, bring, settle, store } = await show();
    await give('theirs.json', writeJob({ ...deck, client: 'From the file' }));
    expect(TestBed.inject(TransferDesk).review()!.review.rows).toMatchObject([{ standing: 'different' }]);
    await bring({ [`job/${deck.id}`]: 'theirs' });
    await settle();
    expect(TestBed.inject(JobDesk).job()!.client).toBe('From the file');
    expect(TestBed.inject(JobDesk).saving().kind).toBe('clean');
    await TestBed.inject(TransferDesk).undo();
    await settle();
    expect(TestBed.inject(JobDesk).job()).toEqual(deckToday());
    expect((await store.job(deck.id))!.job).toEqual(deckToday());
  });

  it('deletes an archived job for good', async () => {
    const { settle, state, store } = await show();
    state.dispatch(collectionActions.archiveJobs({ ids: ['demo-deck'], archived: true }));
    await settle();
    state.dispatch(collectionActions.deleteJobs({ ids: ['demo-deck'] }));
    await settle();
    expect(await store.job('demo-deck')).toBeUndefined();
    state.dispatch(deskActions.open({ id: 'demo-deck' }));
    await settle();
    expect(TestBed.inject(JobDesk).opening()).toBe('missing');
  });
});
