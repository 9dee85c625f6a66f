import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { noteEvents, startRun } from '../edit';
import { type Movement, type Place, type RunUse, type StockItem, places } from '../model';
import { planJob } from '../planning/plan-job';
import { planRun, usageAccount, runStatusOf, ticksOf, useOf } from '../execution';
import { sampleJob, soilAll } from '../testing/sample';
import {
  type Draft,
  bookingOut,
  counting,
  draft,
  isBooked,
  releasing,
  reservedFor,
  reserving,
  takingBack,
} from './booking';
import { laundering, laundrySteps, retiring } from './laundry';
import { amountAt, balancesOf, missingFor, moved, movementsByItem, stockItem } from './ledger';
import { settled } from './settled';
import { dayAt } from '../units';
import { expiry, lotsOf, outlookOf, shoppingList, washesOf } from './outlook';

const DAY = 86_400_000;
let names = 0;
const posted = (drafts: readonly Draft[], at = 0): readonly Movement[] =>
  drafts.map((one) => ({ ...one, id: `m-${++names}`, seq: names, at }));

const job = sampleJob({ soil: soilAll('dust', 1) });
const [product] = job.products;
const bottle = stockItem('product', product!.id);
const stocked = posted([
  draft(
    'bought',
    job.products.flatMap(({ id }) => moved(stockItem('product', id), 'outside', 'shelf', 1000)),
  ),
  draft(
    'counted',
    job.towels.flatMap(({ id, clean }) => moved(stockItem('towel', id), 'outside', 'shelf', clean)),
  ),
]);

/** The job run to its end. */
const done = (() => {
  let one = startRun(job, 0);
  for (;;) {
    const plan = planRun(one);
    const now = runStatusOf(plan, one.run!).hands.find((hand) => hand.now)?.now;
    if (!now) return one;
    one = noteEvents(one, ticksOf(plan, now, 0));
  }
})();
const reckoning = usageAccount(done)!;
const use = useOf(reckoning, reckoning.expected, 0);

describe('a movement dated years ahead, by a clock that was wrong', () => {
  it('changes neither how long a bottle lasts nor what has gone off today', () => {
    const now = 100 * DAY;
    const used = (at: number) => posted([draft('used', moved(bottle, 'shelf', 'outside', 100))], at);
    const bought = posted(
      [draft('bought', moved(bottle, 'outside', 'shelf', 1000), { expiresOn: '1971-01-01' })],
      80 * DAY,
    );
    const all = [...bought, ...used(90 * DAY)];
    const wrong = [...all, ...posted([draft('used', moved(bottle, 'shelf', 'outside', 0.5))], Date.UTC(2036, 0, 1))];
    const pace = (movements: readonly Movement[]) => outlookOf(bottle, movements, balancesOf(movements), now).perDay;
    expect(pace(wrong)).toBe(pace(all));
    expect(
      shoppingList(job.products, [], { byItem: movementsByItem(wrong), balances: balancesOf(wrong) }, 100, {
        now,
        today: dayAt(now, 0),
      }).filter(({ why }) => why === 'expired'),
    ).toEqual([]);
  });
});

describe('the ledger', () => {
  const item = fc.constantFrom<StockItem>('product/a', 'towel/b', 'mix/c/wash');
  const steps = fc.array(
    fc.tuple(item, fc.constantFrom(...places), fc.constantFrom(...places), fc.integer({ min: 1, max: 50 })),
    { maxLength: 40 },
  );

  it('always sums to nothing, and no place inside is ever below it', () => {
    fc.assert(
      fc.property(steps, (all) => {
        let movements: readonly Movement[] = [];
        for (const [of, from, to, amount] of all) {
          const next = draft('counted', moved(of, from, to, amount));
          if (missingFor(balancesOf(movements), next).length === 0) movements = [...movements, ...posted([next])];
        }
        for (const at of balancesOf(movements).values()) {
          expect(places.reduce((sum, place) => sum + (at[place] ?? 0), 0)).toBeCloseTo(0, 9);
          places.forEach((place) => expect(place === 'outside' ? 0 : (at[place] ?? 0)).toBeGreaterThanOrEqual(0));
        }
      }),
    );
  });

  it('comes to the same in whatever order it is read, and to nothing when each is taken back', () => {
    fc.assert(
      fc.property(steps, fc.nat(), (all, seed) => {
        const movements = all.flatMap(([of, from, to, amount]) =>
          posted([draft('counted', moved(of, from, to, amount))]),
        );
        const turned = [...movements].sort(
          (p, q) => ((p.id.length + p.id.charCodeAt(2) * seed) % 7) - ((q.id.length + q.id.charCodeAt(2) * seed) % 7),
        );
        const both = [...movements, ...posted(movements.map(takingBack))];
        for (const [of] of balancesOf(movements))
          for (const place of places) {
            expect(amountAt(balancesOf(turned), of, place)).toBe(amountAt(balancesOf(movements), of, place));
            expect(amountAt(balancesOf(both), of, place)).toBe(0);
          }
      }),
    );
  });

  it('says what is short, and where', () => {
    expect(missingFor(balancesOf(stocked), draft('used', moved(bottle, 'shelf', 'outside', 1200)))).toEqual([
      { item: bottle, place: 'shelf', amount: 200 },
    ]);
  });

  it('holds what a stock-take counted, wherever it was before', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 3000 }), (counted) => {
        const after = balancesOf(settled([...stocked, ...posted([counting(bottle, 'shelf', counted)])]));
        expect(amountAt(after, bottle, 'shelf')).toBe(counted);
      }),
    );
  });
});

describe('a job and the stock', () => {
  const plan = planJob(job);
  const total = (movements: readonly Movement[], place: Place): number =>
    [...balancesOf(movements).keys()]
      .filter((one) => one.startsWith('towel/'))
      .reduce((sum, one) => sum + amountAt(balancesOf(movements), one, place), 0);

  it('sets aside what its plan takes, once, and puts it back', () => {
    const once = [...stocked, ...posted(reserving(job, plan, stocked))];
    expect(total(once, 'reserved')).toBe(plan.towels.filter(({ missing }) => !missing).length);
    const twice = [...once, ...posted(reserving(job, plan, once))];
    expect([...reservedFor(twice, job.id)]).toEqual([...reservedFor(once, job.id)]);
    const back = [...twice, ...posted(releasing(job.id, twice))];
    expect(reservedFor(back, job.id).size).toBe(0);
    expect(total(back, 'shelf')).toBe(total(stocked, 'shelf'));
  });

  it('books out what was used: product out of the house, towels to the laundry, the rest of a mix in its vessel', () => {
    const reserved = [...stocked, ...posted(reserving(job, plan, stocked))];
    const after = [...reserved, ...posted(bookingOut(done, reckoning, use, reserved))];
    expect(isBooked(after, job.id)).toBe(true);
    expect(reservedFor(after, job.id).size).toBe(0);
    expect(total(after, 'dirty')).toBe(use.towels.reduce((sum, { opened }) => sum + opened, 0));
    expect(total(after, 'shelf') + total(after, 'dirty')).toBe(total(stocked, 'shelf'));
    const out = job.products.reduce(
      (sum, { id }) => sum + 1000 - amountAt(balancesOf(after), stockItem('product', id), 'shelf'),
      0,
    );
    expect(out).toBeCloseTo(plan.mix.productMl, 6);
    for (const { content, vessel, leftoverMl, productName } of plan.mix.mixes)
      if (productName)
        expect(amountAt(balancesOf(after), stockItem('mix', `${vessel.id}/${content}`), 'shelf')).toBeCloseTo(
          leftoverMl,
          -1,
        );
  });

  it('pours a vessel out before it is filled anew, so that it never holds two fillings', () => {
    const once = [...stocked, ...posted(bookingOut(done, reckoning, use, stocked))];
    const twice = [...once, ...posted(bookingOut({ ...done, id: 'the-next' }, reckoning, use, once))];
    const mixes = [...balancesOf(once).keys()].filter((item) => item.startsWith('mix/'));
    expect(mixes.length).toBeGreaterThan(0);
    for (const item of mixes)
      expect(amountAt(balancesOf(twice), item, 'shelf')).toBe(amountAt(balancesOf(once), item, 'shelf'));
  });

  it('moves only the difference after a corrected count, there and back, and nothing when nothing changed', () => {
    const booked = [...stocked, ...posted(bookingOut(done, reckoning, use, stocked))];
    expect(bookingOut(done, reckoning, use, booked)).toEqual([]);
    const other: RunUse = {
      ...use,
      mixes: use.mixes.map((mix) => ({ ...mix, usedMl: mix.usedMl * 0.5 })),
      towels: use.towels.map((towel) => ({ ...towel, opened: towel.opened + 1 })),
    };
    const corrected = [...booked, ...posted(bookingOut(done, reckoning, other, booked))];
    const atOnce = [...stocked, ...posted(bookingOut(done, reckoning, other, stocked))];
    const again = [...corrected, ...posted(bookingOut(done, reckoning, use, corrected))];
    for (const item of balancesOf(stocked).keys())
      for (const place of ['shelf', 'dirty'] as const) {
        expect(amountAt(balancesOf(corrected), item, place)).toBeCloseTo(amountAt(balancesOf(atOnce), item, place), 6);
        expect(amountAt(balancesOf(again), item, place)).toBeCloseTo(amountAt(balancesOf(booked), item, place), 6);
      }
    for (const [item, at] of balancesOf(atOnce))
      if (item.startsWith('mix/')) expect(amountAt(balancesOf(corrected), item, 'shelf')).toBe(at.shelf);
    const back = [...booked, ...posted(booked.filter(({ kind }) => kind === 'used').map(takingBack))];
    expect(isBooked(back, job.id)).toBe(false);
  });

  it('leaves a vessel alone that was poured away since, and books the next run of the job in full', () => {
    const booked = [...stocked, ...posted(bookingOut(done, reckoning, use, stocked))];
    const [mix] = [...balancesOf(booked)].find(([item, { shelf = 0 }]) => item.startsWith('mix/') && shelf > 0)!;
    const poured = [
      ...booked,
      ...posted([draft('poured-away', moved(mix, 'shelf', 'outside', amountAt(balancesOf(booked), mix, 'shelf')))]),
    ];
    const less: RunUse = { ...use, mixes: use.mixes.map((one) => ({ ...one, usedMl: one.usedMl * 0.5 })) };
    const corrected = [...poured, ...posted(bookingOut(done, reckoning, less, poured))];
    expect(amountAt(balancesOf(corrected), mix, 'shelf')).toBe(0);
    const anew = [...booked, ...posted(reserving(job, plan, booked))];
    expect(isBooked(anew, job.id)).toBe(false);
    const twice = [...anew, ...posted(bookingOut(done, reckoning, use, anew))];
    expect(total(twice, 'dirty')).toBe(2 * total(booked, 'dirty'));
  });

  it('never takes more than there is', () => {
    const bare = posted([
      draft(
        'counted',
        job.towels.flatMap(({ id }) => moved(stockItem('towel', id), 'outside', 'shelf', 1)),
      ),
    ]);
    const after = [...bare, ...posted(bookingOut(done, reckoning, use, bare))];
    for (const [item] of balancesOf(after))
      expect(amountAt(balancesOf(after), item, 'shelf')).toBeGreaterThanOrEqual(0);
  });
});

describe('the laundry', () => {
  const wash = job.towels.find(({ role }) => role === 'wash')!;
  const wheels = job.towels.find(({ role }) => role === 'wheels')!;
  const item = stockItem('towel', wash.id);
  const used = [
    ...stocked,
    ...posted([
      draft('used', [
        ...moved(item, 'shelf', 'dirty', 2),
        ...moved(stockItem('towel', wheels.id), 'shelf', 'dirty', 1),
      ]),
    ]),
  ];

  it('brings towels back step by step, wheel towels apart, and counts the wash', () => {
    let now = used;
    for (const step of laundrySteps) now = [...now, ...posted(laundering('paint', step, job.towels, balancesOf(now)))];
    expect(amountAt(balancesOf(now), item, 'shelf')).toBe(wash.clean);
    expect(amountAt(balancesOf(now), stockItem('towel', wheels.id), 'dirty')).toBe(1);
    expect(washesOf(wash, now, balancesOf(now))).toBeCloseTo(2 / wash.clean, 9);
    expect(laundering('paint', laundrySteps[0], job.towels, balancesOf(now))).toEqual([]);
  });

  it('hands towels down to wheels before they go out', () => {
    const down = [...stocked, ...posted([retiring(wash, wheels, 1)])];
    expect(amountAt(balancesOf(down), item, 'shelf')).toBe(wash.clean - 1);
    expect(amountAt(balancesOf(down), stockItem('towel', wheels.id), 'shelf')).toBe(wheels.clean + 1);
    const out = [...down, ...posted([retiring(wheels, wheels, 1)])];
    expect(amountAt(balancesOf(out), stockItem('towel', wheels.id), 'retired')).toBe(1);
  });
});

describe('the outlook', () => {
  const weekly = Array.from(
    { length: 4 },
    (_, i) => posted([draft('used', moved(bottle, 'shelf', 'outside', 210))], (i + 1) * 7 * DAY)[0]!,
  );
  const all = [...stocked, ...weekly];

  it('lasts as long as the pace says', () => {
    const { perDay, daysLeft } = outlookOf(bottle, all, balancesOf(all), 28 * DAY);
    expect(perDay).toBeCloseTo(30, 9);
    expect(daysLeft).toBeCloseTo(160 / 30, 9);
    expect(outlookOf(bottle, stocked, balancesOf(stocked), 28 * DAY).daysLeft).toBeNull();
  });

  it('buys what runs out soon, for some weeks ahead, and no more', () => {
    const list = shoppingList(
      job.products,
      job.towels,
      { byItem: movementsByItem(all), balances: balancesOf(all) },
      100,
      { now: 28 * DAY, today: dayAt(28 * DAY, 0) },
    );
    expect(list).toEqual([
      {
        item: bottle,
        name: product!.name,
        count: Math.ceil((45 * 30 - 160) / product!.sizeMl),
        why: 'runs-out',
        costMinor: expect.any(Number),
      },
    ]);
    expect(
      shoppingList(job.products, job.towels, { byItem: movementsByItem(stocked), balances: balancesOf(stocked) }, 100, {
        now: 28 * DAY,
        today: dayAt(28 * DAY, 0),
      }),
    ).toEqual([]);
  });

  it('takes from the oldest bottle first, and knows when each was opened and goes off', () => {
    const lots = [
      ...posted([draft('bought', moved(bottle, 'outside', 'shelf', 500), { expiresOn: '1970-02-01' })], 0),
      ...posted([draft('bought', moved(bottle, 'outside', 'shelf', 500), { expiresOn: '1971-01-01' })], DAY),
      ...posted([draft('used', moved(bottle, 'shelf', 'outside', 600))], 2 * DAY),
    ];
    expect(lotsOf(bottle, lots)).toEqual([{ at: DAY, expiresOn: '1971-01-01', left: 400, openedAt: 2 * DAY }]);
    const [lot] = lotsOf(bottle, lots);
    const more = [
      ...lots,
      ...posted([draft('bought', moved(bottle, 'outside', 'shelf', 750), { expiresOn: '1972-01-01' })], 3 * DAY),
    ];
    expect(lotsOf(bottle, [...more, ...posted([takingBack(more.at(-1)!)], 3 * DAY)])).toEqual([lot]);
    const use = posted([draft('used', moved(bottle, 'shelf', 'outside', 100))], 4 * DAY);
    expect(lotsOf(bottle, [...lots, ...use, ...posted(use.map(takingBack), 4 * DAY)])).toEqual([lot]);
    expect(expiry({ expiresOn: '1970-02-01' }, '1970-01-10')).toBe('soon');
    expect(expiry({ expiresOn: '1970-02-01' }, '1970-02-02')).toBe('over');
    expect(expiry({ expiresOn: null }, '1970-02-02')).toBeNull();
  });

  it('asks for towels in place of those that are worn out', () => {
    const wash = job.towels.find(({ role }) => role === 'wash')!;
    const item = stockItem('towel', wash.id);
    const worn = [
      ...stocked,
      ...Array.from({ length: 5 }, () =>
        posted(
          laundrySteps.map(({ kind, from, to }, i) =>
            draft(kind, moved(item, i === 0 ? 'shelf' : from, to, wash.clean)),
          ),
        ),
      ).flat(),
    ];
    expect(
      shoppingList([], job.towels, { byItem: movementsByItem(worn), balances: balancesOf(worn) }, 5, {
        now: DAY,
        today: dayAt(DAY, 0),
      }).map(({ why, name }) => [why, name]),
    ).toEqual([['worn-out', wash.name]]);
  });
});
