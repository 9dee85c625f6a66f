import { describe, expect, it } from 'vitest';
import { TestBed } from '@angular/core/testing';
import { Router } from '@angular/router';
import { type Job, startRun } from '@esmero/core';
import { writeJob } from '@esmero/exchange';
import { shelfActions } from '../../state/shelf';
import { deck, deskWith } from '../../testing/desk';
import { JobsPage } from './jobs.page';

async function show() {
  const desk = await deskWith();
  TestBed.inject(Router).resetConfig([{ path: '**', component: JobsPage }]);
  const fixture = TestBed.createComponent(JobsPage);
  fixture.detectChanges();
  const element = fixture.nativeElement as HTMLElement;
  const give = async (name: string, text: string): Promise<void> => {
    const input = element.querySelector<HTMLInputElement>('input[type="file"]')!;
    Object.defineProperty(input, 'files', { configurable: true, value: [new File([text], name)] });
    Object.defineProperty(input, 'value', { configurable: true, writable: true, value: '' });
    input.dispatchEvent(new Event('change'));
    for (let i = 0; i < 5; i++) await desk.settle();
    fixture.detectChanges();
  };
  return { ...desk, fixture, element, give };
}

describe('the list of jobs', () => {
  it('shows every job and puts one away', async () => {
    const { element, fixture, settle, store } = await show();
    expect(element.querySelectorAll('.jobs li')).toHaveLength(8);
    const away = [...element.querySelectorAll('button')].find((b) => b.textContent?.includes('Put away'))!;
    away.click();
    await settle();
    fixture.detectChanges();
    expect(element.querySelectorAll('.jobs li')).toHaveLength(7);
    expect((await store.jobs()).filter(({ archived }) => archived)).toHaveLength(1);
  });

  it('copies a job without what happened to the other car: no run, no pictures, no signature', async () => {
    const { element, give, settle, store } = await show();
    const picture = { id: 'p', when: 'after', zone: null, note: '', photo: 'p' } as const;
    const done = { ...startRun(deck, 1), id: 'done', name: 'Done before', pictures: [picture], signed: { by: 'Somebody', at: 1, path: 'M0 0' } };
    await give('done.json', writeJob(done));
    const item = [...element.querySelectorAll('.jobs li')].find((li) => li.textContent!.includes('Done before'))!;
    [...item.querySelectorAll('button')].find((b) => b.textContent?.includes('Copy'))!.click();
    for (let i = 0; i < 3; i++) await settle();
    const copy = (await store.jobs()).find(({ job }) => job.name === 'Done before (copy)')!;
    expect(copy.job).toMatchObject({ run: null, pictures: [], signed: null, soil: deck.soil });
  });

  it('is searched, shows what is to be done before what is over, and a hundred of many', async () => {
    const { element, fixture, settle, store, state } = await show();
    const over = (id: string, endedAt: number): Job => ({ ...deck, id, name: `Visit ${id}`, run: { ...startRun(deck, 1).run!, endedAt } });
    await store.merge({ library: [], movements: [], photos: [], jobs: [...Array.from({ length: 120 }, (_, i) => over(`old-${i}`, 1000 + i)), over('last', 5000)] });
    state.dispatch(shelfActions.load());
    for (let i = 0; i < 3; i++) await settle();
    fixture.detectChanges();
    const names = (): string[] => [...element.querySelectorAll('.jobs strong')].map((one) => one.textContent!);
    expect(names()).toHaveLength(100);
    expect(names()[8]).toBe('Visit last');
    expect(names()[9]).toBe('Visit old-119');
    [...element.querySelectorAll('button')].find((b) => b.textContent?.includes('Show more of 129'))!.click();
    fixture.detectChanges();
    expect(names()).toHaveLength(129);
    const field = element.querySelector<HTMLInputElement>('input[type=search]')!;
    field.value = 'LAST visit';
    field.dispatchEvent(new Event('input'));
    fixture.detectChanges();
    expect(names()).toEqual(['Visit last']);
    field.value = 'nothing of the kind';
    field.dispatchEvent(new Event('input'));
    fixture.detectChanges();
    expect(element.textContent).toContain('No job is like that');
  });

  it('brings in a job file', async () => {
    const { element, give, store } = await show();
    await give('new.json', writeJob({ ...deck, id: 'brought', name: 'Brought in' }));
    expect((await store.job('brought'))?.job.name).toBe('Brought in');
    expect(element.textContent).toContain('Brought in');
    expect(element.querySelector('[data-refusal]')).toBeNull();
  });

  it('refuses a broken file with its reasons and changes nothing', async () => {
    const { element, give, store } = await show();
    const before = await store.jobs();
    await give('broken.json', writeJob(deck).replace('"zone": "bonnet"', '"zone": "hat"'));
    expect(element.querySelector('[data-refusal]')?.textContent).toContain('soil');
    expect(await store.jobs()).toEqual(before);
  });

  it('shows HTML in a name as text', async () => {
    const { element, give } = await show();
    await give('html.json', writeJob({ ...deck, id: 'html', name: '<img src=x onerror=alert(1)>' }));
    expect(element.querySelector('.jobs img')).toBeNull();
    expect(element.textContent).toContain('<img src=x');
  });
});
