import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { endRun, noteUse, startRun } from '../edit';
import type { Client, ClientCar, Job, Leg, LibraryEntry } from '../model';
import { noCare, usualScope } from '../model';
import { usualBusiness } from '../price';
import { finish } from '../studies';
import { sampleJob, sampleSite, sampleVehicle, soilAll } from '../testing/sample';
import { dayAfter, instantAt, minorUnits } from '../units';
import { type Due, type DueCar, carsOf, dueState, duesOf, isInTime, isOf, newVisit, visitDay } from '.';

const week: Leg = { days: 7, surroundings: 'town', shelter: 'street', km: 150, road: 'dry' };
const car = (rest: Partial<ClientCar> = {}): ClientCar => ({
  vehicleId: 'v',
  siteId: null,
  packageId: null,
  habitsId: null,
  everyDays: null,
  usual: week,
  ...rest,
});
const client = (rest: Partial<Client> = {}): Client => ({
  id: 'c',
  name: 'Bay Bakery',
  email: '',
  phone: '',
  note: '',
  places: [],
  cars: [car()],
  wishes: {},
  ...rest,
});

const washed = (id: string, date: string, rest: Partial<Job> = {}): Job => {
  const at = instantAt(date, 10, 0);
  const ended = endRun(
    startRun({ ...sampleJob({ soil: soilAll('dust', 1) }), id, date, client: 'Bay Bakery', ...rest }, at),
    at + 3_600_000,
  );
  return noteUse(ended, {
    at,
    because: '',
    method: 'waterless',
    doneShare: 1,
    plannedMin: 60,
    paces: [],
    soil: null,
    waterL: null,
    runoffL: null,
    mixes: [],
    towels: [],
  });
};

describe('jobs of a client', () => {
  it('are told by the client that is kept; by the name where none is', () => {
    const one = client();
    expect(isOf(one, { client: 'Bay Bakery', clientId: null })).toBe(true);
    expect(isOf(one, { client: 'Another name', clientId: 'c' })).toBe(true);
    expect(isOf(one, { client: 'Bay Bakery', clientId: 'd' })).toBe(false);
    expect(isOf(client({ name: '' }), { client: '', clientId: null })).toBe(false);
  });

  it('are visits of a car: done, the last one first, and ahead, the next one first', () => {
    const jobs = [
      washed('a', '2031-05-01'),
      washed('b', '2031-06-01'),
      { ...sampleJob(), id: 'late', date: '2031-07-20', client: 'Bay Bakery' },
      { ...sampleJob(), id: 'next', date: '2031-07-16', client: 'Bay Bakery' },
      { ...sampleJob(), id: 'missed', date: '2031-07-01', client: 'Bay Bakery' },
      { ...sampleJob(), id: 'away', date: '2031-07-18', client: 'Bay Bakery', refused: { at: 1, why: 'Mud' } },
      washed('other', '2031-06-20', { client: 'Ferry' }),
      washed('other-car', '2031-06-21', { vehicle: { ...sampleVehicle(), id: 'w' } }),
    ];
    const [visits] = carsOf([client()], jobs, '2031-07-15');
    expect(visits!.done.map(({ id }) => id)).toEqual(['b', 'a']);
    expect(visits!.ahead.map(({ id }) => id)).toEqual(['next', 'late']);
  });

  it('go to the client that each job is of, whoever else is kept', () => {
    const name = fc.constantFrom('', 'Bay Bakery', 'Ferry');
    const id = fc.constantFrom('c', 'd', 'e');
    const clients = fc.uniqueArray(fc.record({ id, name }), { selector: (one) => one.id });
    const whose = fc.record({ client: name, clientId: fc.option(id) });
    fc.assert(
      fc.property(clients, fc.array(whose, { maxLength: 12 }), (those, these) => {
        const kept = those.map((one) => client(one));
        const jobs = these.map((one, k) => ({ ...washed(`${k}`, '2031-05-01'), ...one }));
        for (const { client: one, done } of carsOf(kept, jobs, '2031-07-15'))
          expect(done.map((job) => job.id).sort()).toEqual(
            jobs
              .filter((job) => isOf(one, job))
              .map((job) => job.id)
              .sort(),
          );
      }),
      { numRuns: 60 },
    );
  });
});

describe('when a car is due', () => {
  const asked = (rest: Partial<DueCar> = {}): DueCar => ({
    key: 'k',
    last: washed('a', '2031-05-01'),
    lastDay: '2031-05-01',
    usual: week,
    everyDays: null,
    ...rest,
  });
  const due = (rest: Partial<DueCar> = {}): Due => finish(duesOf([asked(rest)]))[0]!;

  it('follows the forecast: the dirtier its use, the sooner; and by the day of the last wash', () => {
    const easy = due({ usual: { ...week, shelter: 'garage', km: 20 } });
    const hard = due({ usual: { ...week, road: 'salted', surroundings: 'coast', km: 600 } });
    const day = (one: Due): string => one.band?.likely ?? '2031-05-01';
    expect(day(hard) < day(easy)).toBe(true);
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 60 }), (later) => {
        const moved = due({ lastDay: dayAfter('2031-05-01', later) });
        expect(moved.band!.likely).toBe(dayAfter(due().band!.likely, later));
      }),
      { numRuns: 5 },
    );
    const { band } = due();
    expect(band!.early <= band!.likely && band!.likely <= band!.late).toBe(true);
  });

  it('is as agreed where something is, whatever the forecast', () => {
    expect(due({ everyDays: 7 })).toMatchObject({ agreed: '2031-05-08', on: '2031-05-08' });
    expect(due().on).toBe(due().band!.early);
  });

  it('is this week from the early day on, and overdue once the late one is over', () => {
    const one: Due = {
      key: 'k',
      agreed: null,
      on: '2031-05-10',
      band: { method: 'waterless', early: '2031-05-10', likely: '2031-05-15', late: '2031-05-20' },
    };
    const states = ['2031-05-01', '2031-05-04', '2031-05-12', '2031-05-20', '2031-05-21'].map((day) =>
      dueState(one, day),
    );
    expect(states).toEqual(['later', 'this-week', 'this-week', 'this-week', 'overdue']);
    expect(dueState({ ...one, agreed: '2031-05-10' }, '2031-05-11')).toBe('overdue');
    expect(['2031-05-20', '2031-05-21'].map((day) => isInTime(one, day))).toEqual([true, false]);
    expect([visitDay(one, '2031-05-01'), visitDay(one, '2031-05-15'), visitDay(null, '2031-05-15')]).toEqual([
      '2031-05-10',
      '2031-05-15',
      '2031-05-15',
    ]);
    expect(dueState({ ...one, on: null, band: null }, '2031-05-11')).toBe('open');
  });
});

describe('the next visit', () => {
  const site = { ...sampleSite, id: 'deck', name: 'Deck' };
  const library: readonly LibraryEntry[] = [
    { kind: 'vehicle', archived: false, item: { ...sampleVehicle('van'), id: 'v' } },
    { kind: 'site', archived: false, item: site },
    { kind: 'business', archived: false, item: usualBusiness('USD', (amount) => amount * 100) },
    {
      kind: 'package',
      archived: false,
      item: { id: 'p', name: 'Body only', scope: ['body'], care: noCare, priceMinor: minorUnits(4000) },
    },
  ];
  const visit = (of: ClientCar, last: Job | null): Job =>
    newVisit({
      id: 'n',
      date: '2031-05-15',
      client: client({ wishes: { approach: 'cautious' } }),
      car: of,
      library,
      last,
    });

  it('has place, package, wishes and marks as agreed and found, and forecasts the soil since the last one', () => {
    const marks = [{ id: 'm', zone: 'roof', kind: 'chip', note: '', photo: null }] as const;
    const last = { ...washed('a', '2031-05-01'), marks };
    const job = visit(car({ siteId: 'deck', packageId: 'p' }), last);
    expect(job).toMatchObject({
      client: 'Bay Bakery',
      clientId: 'c',
      date: '2031-05-15',
      scope: ['body'],
      soldAs: { priceMinor: 4000 },
      wishes: { approach: 'cautious' },
      marks,
      currency: 'USD',
      soil: {},
      run: null,
      bills: [],
    });
    expect(job.site.name).toBe('Deck');
    expect(job.since).toEqual([{ ...week, days: 14, km: 300 }]);
  });

  it('of a series counts from the visit before it, whatever was last done', () => {
    const job = newVisit({
      id: 'n',
      date: '2031-06-12',
      client: client(),
      car: car({ everyDays: 14 }),
      library,
      last: washed('a', '2031-05-01'),
      lastDay: '2031-05-29',
    });
    expect(job.since).toEqual([{ ...week, days: 14, km: 300 }]);
  });

  it('of a car that was never here goes by how it is used, at the place of the library', () => {
    const job = visit(car(), null);
    expect(job.vehicle.body).toBe('van');
    expect(job.since).toEqual([week]);
    expect([job.scope, job.soldAs]).toEqual([usualScope, null]);
  });
});
