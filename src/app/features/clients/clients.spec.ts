import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { TestBed } from '@angular/core/testing';
import { Router } from '@angular/router';
import { pastRuns } from '@esmero/demo';
import { collectionActions, collectionFeature } from '../../state/collection';
import { Entries } from '../../state/entries';
import { show } from '../../testing/show';
import { ClientPage } from './client.page';
import { ClientsPage } from './clients.page';

const TODAY = '2031-07-14';
const past = [...pastRuns(TODAY)];

beforeEach(() => vi.useFakeTimers({ toFake: ['Date'], now: new Date(`${TODAY}T09:00:00`) }));
afterEach(() => vi.useRealTimers());

async function withPast(page: typeof ClientsPage | typeof ClientPage, id?: string) {
  const all = await show<ClientsPage | ClientPage>(page, [], undefined, id ? { id } : {});
  for (const job of past) await all.store.saveJob(job, null);
  all.state.dispatch(collectionActions.load());
  await all.settle();
  await all.settle();
  await all.settle();
  return { ...all, entries: TestBed.inject(Entries) };
}

describe('clients', () => {
  it('are listed with who is due and who is booked', async () => {
    const { element } = await withPast(ClientsPage);
    const row = (name: string): string =>
      [...element.querySelectorAll('[data-client]')].find(({ textContent }) => textContent.includes(name))!.textContent;
    expect(element.querySelectorAll('[data-client]')).toHaveLength(8);
    expect(row('Harbour pilot')).toContain('Overdue');
    expect(row('Driving school')).toContain('booked for');
    expect(element.querySelector('[data-due]')!.textContent).toMatch(/\d|One/);
  });

  it('are found by car and telephone, and nobody by what nobody has', async () => {
    const { element, settle } = await withPast(ClientsPage);
    const field = element.querySelector<HTMLInputElement>('input[type=search]')!;
    const type = async (text: string): Promise<number> => {
      field.value = text;
      field.dispatchEvent(new Event('input'));
      await settle();
      return element.querySelectorAll('[data-client]').length;
    };
    expect(await type('matte 0184')).toBe(1);
    expect(await type('zeppelin')).toBe(0);
    expect(element.textContent).toContain('No match');
  });

  it('get a visit with the soil forecast since the last one, at their place and price', async () => {
    const { press, state, store } = await withPast(ClientsPage);
    const go = vi.spyOn(TestBed.inject(Router), 'navigate').mockResolvedValue(true);
    await press('Plan a visit: Harbour pilot');
    const [, id] = go.mock.calls[0]![0] as [string, string];
    const job = (await store.job(id))!.job;
    expect(job).toMatchObject({
      client: 'Harbour pilot',
      clientId: 'c-pilot',
      date: TODAY,
      soil: {},
      wishes: { chemistry: 'rinsed-off' },
    });
    expect(job.since[0]!.days).toBe(55);
    expect(
      state
        .selectSignal(collectionFeature.selectJobs)()
        .some((one) => one.id === id),
    ).toBe(true);
  });
});

describe('a client', () => {
  it('has cars with what is agreed, visits, and a year of them', async () => {
    const { element, press, settle } = await withPast(ClientPage, 'c-school');
    expect(element.querySelector('h1')!.textContent).toContain('Driving school');
    expect(element.textContent).toContain('as agreed');
    expect(element.querySelectorAll('.visits li')).toHaveLength(6);
    expect(element.querySelector('.visits')!.textContent).toContain('€59.00');
    await press('How often is best?');
    await settle();
    expect(element.querySelectorAll('esm-season tbody tr')).toHaveLength(7);
    expect(element.querySelectorAll('esm-season tr.fits').length).toBeLessThanOrEqual(1);
  });

  it('is changed, and the change is taken back', async () => {
    const { entries, press, element, settle } = await withPast(ClientPage, 'c-household');
    const client = () => entries.items('client').find(({ id }) => id === 'c-household')!;
    const every = element.querySelector<HTMLInputElement>('esm-client-car esm-number input')!;
    every.value = '21';
    every.dispatchEvent(new Event('blur'));
    await settle();
    expect(client().cars[0]!.everyDays).toBe(21);
    await press('Add an address');
    expect(client().places).toHaveLength(2);
    await press('Undo');
    expect(client().places).toHaveLength(1);
    await press('New car');
    expect(client().cars).toHaveLength(2);
    expect(entries.items('vehicle').some(({ id }) => id === client().cars[1]!.vehicleId)).toBe(true);
  });

  it('gets a series of visits, each from the one before it on, and loses it again', async () => {
    const { element, press, state, store } = await withPast(ClientPage, 'c-school');
    const ids = (): readonly string[] =>
      state
        .selectSignal(collectionFeature.selectJobs)()
        .flatMap(({ id, job }) => (job.clientId === 'c-school' && !job.run && !id.startsWith('demo') ? [id] : []));
    await press('Plan the next 4');
    const jobs = await Promise.all(ids().map(async (id) => (await store.job(id))!.job));
    expect(jobs.map(({ date }) => date).sort()).toEqual(['2031-07-15', '2031-07-22', '2031-07-29', '2031-08-05']);
    expect(jobs.map(({ since }) => since[0]!.days)).toEqual([7, 7, 7, 7]);
    expect(element.textContent).toContain('4 visits planned');
    await press('Undo the visits');
    expect(ids()).toEqual([]);
  });

  it('that is gone says so', async () => {
    const { element } = await withPast(ClientPage, 'nobody');
    expect(element.textContent).toContain('not here any more');
  });
});
