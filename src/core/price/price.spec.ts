import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type Bill, type Business, quoteIn } from '../model';
import { planJob } from '../planning';
import { finish } from '../studies';
import { sampleJob, sampleSite, soilAll } from '../testing/sample';
import { degrees, toMinor } from '../units';
import { usualVan } from '../tour';
import { billOf, invoiceOf, nextNumber, numbersOf } from './bill';
import { priceOf } from './price';
import { type QuoteAnswer, quoteOf, usualBusiness } from './quote';
import { seasonOf } from './season';
import { type VisitTakes, onceMin, takesFor, takesOf } from './takes';
import { visitAccount } from './actual';

const currencies = ['EUR', 'USD', 'JPY', 'KWD', 'ISK', 'XYZ'] as const;
const usual = (currency: string): Business => usualBusiness(currency, (amount) => toMinor(amount, currency));

const amount = (max: number): fc.Arbitrary<number> => fc.double({ min: 0, max, noNaN: true });
const someTakes: fc.Arbitrary<VisitTakes> = fc.record({
  minutes: amount(600),
  people: fc.constantFrom(1, 2),
  drivingMin: amount(200),
  km: amount(300),
  productMinor: fc.option(amount(5000)),
  towels: fc.nat(60),
  litres: amount(500),
  wasteL: amount(300),
  batteryMin: amount(90),
});
const someBusiness: fc.Arbitrary<Business> = fc
  .record({
    currency: fc.constantFrom(...currencies),
    marginShare: amount(2),
    taxShare: amount(0.3),
    roundToMinor: fc.constantFrom(1, 5, 50, 100, 1000),
  })
  .map((own) => ({ ...usual(own.currency), ...own }));

const job = sampleJob({
  soil: soilAll('dust', 2),
  products: sampleJob().products.map((one) => ({ ...one, priceMinor: toMinor(20, 'EUR') })),
});
const van = usualVan({
  name: 'home',
  latitudeDeg: degrees(sampleSite.latitudeDeg + 0.1),
  longitudeDeg: sampleSite.longitudeDeg,
});
const answer = (of = job, business = usual('EUR')): QuoteAnswer => finish(quoteOf({ job: of, business, van }))!;

describe('a price', () => {
  it('is the sum of its parts to the minor unit, in every currency, with or without a price agreed beforehand', () => {
    fc.assert(
      fc.property(someTakes, someBusiness, fc.option(fc.nat(1_000_000)), (takes, business, agreed) => {
        const { costs, costMinor, marginMinor, roundingMinor, netMinor, taxMinor, totalMinor } = priceOf(
          takes,
          business,
          agreed,
        );
        for (const one of [
          ...costs.map(({ minor }) => minor),
          marginMinor,
          roundingMinor,
          netMinor,
          taxMinor,
          totalMinor,
        ])
          expect(Number.isSafeInteger(one)).toBe(true);
        expect(costs.reduce((sum, { minor }) => sum + minor, 0)).toBe(costMinor);
        expect(costMinor + marginMinor + roundingMinor).toBe(netMinor);
        expect(netMinor + taxMinor).toBe(totalMinor);
        if (agreed === null) expect(totalMinor % business.roundToMinor).toBe(0);
        else expect(totalMinor).toBe(agreed);
      }),
    );
  });

  it('rises with all that a visit takes, and by the hour as the hour is paid', () => {
    fc.assert(
      fc.property(
        someTakes,
        someBusiness,
        fc.constantFrom('minutes', 'drivingMin', 'km', 'towels', 'litres', 'wasteL', 'batteryMin'),
        amount(100),
        (takes, business, what, more) => {
          expect(priceOf({ ...takes, [what]: takes[what] + more }, business).totalMinor).toBeGreaterThanOrEqual(
            priceOf(takes, business).totalMinor,
          );
        },
      ),
    );
    const hour = {
      minutes: 60,
      people: 2,
      drivingMin: 0,
      km: 0,
      productMinor: null,
      towels: 0,
      litres: 0,
      wasteL: 0,
      batteryMin: 0,
    };
    const { costs } = priceOf(hour, { ...usual('EUR'), overheadMinor: toMinor(0, 'EUR') });
    expect(costs).toEqual([{ kind: 'labour', minor: 6400 }]);
  });
});

describe('what a visit takes', () => {
  const plan = planJob(job);

  it('is what its plan takes, and the way there and back', () => {
    const takes = takesOf(plan, job, van);
    expect(takes).toMatchObject({
      minutes: plan.slot.value,
      towels: plan.totals.towels.value,
      litres: plan.totals.litres.value,
      people: 1,
    });
    // A tenth of a degree, longer by the roads, twice.
    expect(takes.km).toBeCloseTo(2 * 11.12 * van.roadFactor, 1);
    expect(takes.drivingMin).toBeCloseTo(60 * (takes.km / van.kmPerHour) + 2 * van.parkMin, 6);
    expect(takesOf(plan, job, null)).toMatchObject({ km: 0, drivingMin: 0 });
  });

  it('is less for each of several cars, as setting up and the way are needed once', () => {
    const one = takesOf(plan, job, van);
    const once = onceMin(plan, job);
    expect(once).toBeGreaterThan(3);
    const three = takesFor(one, 3, once);
    expect(three.minutes).toBeCloseTo(3 * one.minutes - 2 * once, 9);
    expect([three.km, three.towels]).toEqual([one.km, 3 * one.towels]);
  });
});

describe('a quote', () => {
  const quote = answer();

  it('prices minutes that nearly always do, and more so the surer it is to be', () => {
    expect(quote.takes.minutes).toBeGreaterThan(quote.typicalMin);
    const sure = answer(job, { ...usual('EUR'), confidence: 0.95 });
    expect(sure.takes.minutes).toBeGreaterThan(quote.takes.minutes);
    expect(sure.price.totalMinor).toBeGreaterThan(quote.price.totalMinor);
  });

  it('asks more for a dirtier car and less for a cleaner one, and says so where it cannot be washed then', () => {
    const { lighter, heavier, gritty } = Object.fromEntries(quote.bands.map((one) => [one.band, one]));
    expect(lighter!.moreMinor).toBeLessThanOrEqual(0);
    expect(heavier!.moreMinor).toBeGreaterThan(0);
    expect(heavier!.moreMin).toBeGreaterThan(0);
    expect(gritty!.moreMinor).toBeGreaterThan(0);
    const onlyDust = {
      ...job,
      soil: soilAll('dust', 1),
      choices: { ...job.choices, method: 'waterless' as const, dirtLimit: 'only-dust' as const, parts: 'all' as const },
    };
    expect(answer(onlyDust).bands.find(({ band }) => band === 'gritty')).toEqual({
      band: 'gritty',
      moreMinor: null,
      moreMin: null,
    });
  });

  it('gives a discount for cars in one visit that grows with their number and comes out of what is needed once', () => {
    const saved = quote.cars.map((one) => one.saved);
    expect(saved[0]).toBe(0);
    expect(saved).toEqual([...saved].sort((p, q) => p - q));
    expect(saved.at(-1)).toBeGreaterThan(0.1);
    expect(quote.cars[0]!.totalMinor).toBe(quote.price.totalMinor);
  });

  it('is what was agreed where it is sold under a name, and there is none for a car that is sent away', () => {
    const sold = { ...job, soldAs: { id: 'k', name: 'Wash', priceMinor: toMinor(25, 'EUR') } };
    const { price } = answer(sold);
    expect([price.totalMinor, price.isAgreed]).toEqual([2500, true]);
    expect(price.marginMinor).toBeLessThan(0);
    expect(answer({ ...sold, currency: 'USD' }).price.isAgreed).toBe(false);
    expect(
      finish(quoteOf({ job: { ...job, soil: soilAll('mud', 5), gear: [] }, business: usual('EUR'), van })),
    ).toBeNull();
  });
});

describe('a bill', () => {
  const quote = answer();
  const made = (cars: number, numbers: readonly string[] = []): Bill =>
    billOf({
      id: 'b',
      kind: 'quote',
      on: '2031-07-14',
      to: 'Somebody',
      cars,
      words: { wash: 'Wash', discount: 'Less' },
      quote,
      business: usual('EUR'),
      numbers,
    });

  it('has lines that are its net price, and that with tax is what is paid', () => {
    for (const cars of [1, 2, 3, 5, 10]) {
      const { lines, netMinor, taxMinor, totalMinor } = made(cars);
      expect(lines.reduce((sum, { minor }) => sum + minor, 0)).toBe(netMinor);
      expect(netMinor + taxMinor).toBe(totalMinor);
      expect(totalMinor).toBe(quote.cars.find((one) => one.cars === cars)!.totalMinor);
    }
    expect(made(3).lines).toHaveLength(2);
    // What is needed once costs once.
    expect(made(3).costMinor).toBeLessThan(3 * made(1).costMinor);
    expect(made(1).costMinor).toBe(quote.price.costMinor);
    expect(made(1).until).toBe('2031-08-13');
  });

  it('is numbered after the last one of its year, whatever else there is', () => {
    expect(nextNumber('Q', '2031-07-14', [])).toBe('Q2031-001');
    expect(nextNumber('Q', '2031-07-14', ['Q2031-009', 'Q2030-044', 'I2031-031', 'Q2031-x'])).toBe('Q2031-010');
    expect(nextNumber('', '2031-07-14', ['2031-1200'])).toBe('2031-1201');
    fc.assert(
      fc.property(fc.array(fc.nat(3000), { maxLength: 20 }), (counts) => {
        const known = counts.map((count) => `Q2031-${String(count).padStart(3, '0')}`);
        expect(known).not.toContain(nextNumber('Q', '2031-01-01', known));
      }),
    );
  });

  it('becomes an invoice of the same sums with a number of its own', () => {
    const quoted = made(2, ['Q2031-004']);
    const jobs = [{ bills: [quoted] }];
    const invoice = invoiceOf(quoted, 'i', '2031-07-20', usual('EUR'), numbersOf(jobs, 'invoice'));
    expect(invoice).toMatchObject({
      kind: 'invoice',
      number: 'I2031-001',
      until: '2031-08-03',
      totalMinor: quoted.totalMinor,
      lines: quoted.lines,
      bands: [],
    });
    expect(quoteIn({ bills: [quoted, invoice] })).toBe(quoted);
  });
});

describe('what a visit really cost', () => {
  it('is not known before it is counted', () => {
    expect(finish(visitAccount({ job, business: usual('EUR'), van }))).toBeNull();
  });
});

describe('a season', () => {
  const season = finish(
    seasonOf({
      job,
      business: usual('EUR'),
      van,
      usual: { days: 7, surroundings: 'town', shelter: 'street', km: 150, road: 'dry' },
    }),
  );

  it('mars more at each visit the longer one waits, and needs fewer visits', () => {
    for (const method of ['waterless'] as const) {
      const whole = season.plans.filter((one) => one.method === method && one.holds === 'safe');
      expect(whole.length).toBeGreaterThan(0);
      const index = whole.map((one) => one.index);
      expect(index).toEqual([...index].sort((p, q) => p - q));
      const visits = whole.map((one) => one.visits);
      expect(visits).toEqual([...visits].sort((p, q) => q - p));
      const costs = whole.map((one) => one.yearMinor);
      expect(costs).toEqual([...costs].sort((p, q) => q - p));
    }
  });

  it('fits at the longest interval that is safe, which holds for all shorter ones too', () => {
    const { fits, plans } = season;
    expect(fits!.holds).toBe('safe');
    expect(plans.some(({ holds, days }) => holds === 'safe' && days > fits!.days)).toBe(false);
    expect(
      plans
        .filter(({ days, method }) => days < fits!.days && method === fits!.method)
        .every(({ holds }) => holds === 'safe'),
    ).toBe(true);
  });
});
