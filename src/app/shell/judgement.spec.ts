import { describe, expect, it } from 'vitest';
import type { Provider } from '@angular/core';
import { atHour, tradeOffsOf, finish, planJob } from '@esmero/core';
import type { DayWeather, Job } from '@esmero/model';
import { celsius } from '@esmero/units';
import { habitKeys } from '@esmero/messages';
import { WEATHER, type WeatherService } from '../state/weather';
import { PLANNING } from '../state/ports';
import { show } from '../testing/show';
import { forecastWords, soilLooks } from '../ui/net/looks';
import { BenchPage } from '../features/bench/bench.page';
import { FrontComponent } from '../features/method/front.component';
import { HabitsComponent } from '../features/method/habits.component';
import { MatteredComponent } from '../features/method/mattered.component';
import { RefusalComponent } from '../features/method/refusal.component';
import { WhatIfComponent } from '../features/method/what-if.component';
import { MixStage } from '../features/mix/mix.stage';
import { WorkOrderStage } from '../features/work-order/work-order.stage';
import { DayComponent } from '../features/site/day.component';
import { WalkRoundStage } from '../features/walk-round/walk-round.stage';

const type = (field: HTMLInputElement, text: string, event = 'change'): void => {
  field.value = text;
  Object.defineProperty(field, 'valueAsNumber', { configurable: true, value: text === '' ? NaN : Number(text) });
  field.dispatchEvent(new Event(event));
  // A number is told once its field is left.
  field.dispatchEvent(new Event('blur'));
};

const weather: DayWeather = {
  source: 'a test',
  hours: Array.from({ length: 24 }, (_, hour) => ({ hour, airC: celsius(10 + hour), humidity: 0.5, windMs: 1, sunWm2: 0 })),
};
const answering = (service: WeatherService): Provider => ({ provide: WEATHER, useValue: service });

describe('the day', () => {
  it('takes the weather of a service, moves the hour, and goes back to what is typed', async () => {
    const { press, job, element, settle } = await show(DayComponent, [answering(async () => ({ ok: true, weather }))]);
    expect(element.querySelectorAll('esm-day-ribbon rect.good').length).toBeGreaterThanOrEqual(10);
    await press('Weather by the hour');
    expect(job.job()!.site.airC).toBe(20);
    element.querySelector<HTMLElement>('[role=slider]')!.dispatchEvent(new KeyboardEvent('keydown', { code: 'ArrowRight', bubbles: true }));
    await settle();
    expect(job.job()).toMatchObject({ hour: 10.5, site: { airC: 20.5 } });
    await press('Type the weather');
    expect(job.job()!.weather).toBeNull();
  });

  it('says so when no weather is to be had, and leaves what is typed', async () => {
    const { press, job, element } = await show(DayComponent, [answering(async () => ({ ok: false, why: 'unreachable' }))]);
    const before = job.job();
    await press('Weather by the hour');
    expect(element.querySelector('[role="alert"]')?.textContent).toContain('did not answer');
    expect(job.job()).toBe(before);
  });

  it('offers shade and a later hour where panels are too hot, and takes them at a press', async () => {
    const { press, job, element, settle } = await show(DayComponent);
    job.edit('hot', (one) => ({
      ...one,
      hour: 13,
      vehicle: { ...one.vehicle, colour: 'black' },
      site: { ...one.site, shade: false, sunWm2: 900, airC: celsius(31), windMs: 0.5 },
    }));
    await settle();
    expect(element.textContent).toContain('In the shade these could be worked');
    await press('Shade the car');
    expect(job.job()!.site.shade).toBe(true);
    expect(element.textContent).toContain('Every panel can be worked');
  });
});

describe('long questions', () => {
  it('show how far they are, can be called off, and start anew with another job', async () => {
    let tell = (_share: number): void => undefined;
    const stopped: string[] = [];
    const never = {
      plan: async () => ({ kind: 'stale' }),
      study: (_kind: string, _job: unknown, progress: (share: number) => void) => {
        tell = progress;
        return new Promise(() => undefined);
      },
      stop: (kind: string) => stopped.push(kind),
    };
    const { press, element, fixture } = await show(WhatIfComponent, [{ provide: PLANNING, useValue: never }]);
    tell(0.4);
    fixture.detectChanges();
    expect(element.querySelector('[role=progressbar]')!.getAttribute('aria-valuenow')).toBe('40');
    await press('Stop');
    expect(stopped).toContain('what-if');
    expect(element.textContent).toContain('What would change the answer?');
  });

  it('lay the front out as plans to pick', async () => {
    const { element, job, settle } = await show(FrontComponent);
    const front = finish(tradeOffsOf(job.job()!));
    const dots = [...element.querySelectorAll<SVGElement>('.dot')];
    expect(dots).toHaveLength(front.length);
    expect(element.querySelectorAll('.dot.here')).toHaveLength(1);
    dots[0]!.dispatchEvent(new Event('click'));
    await settle();
    expect(Object.keys(job.job()!.choices.assumptions)).toEqual(expect.arrayContaining(['weightMarring', 'weightMinute', 'weightLitre']));
  });

  it('say where the approach matters, and try the other one', async () => {
    const { element, job, settle } = await show(MatteredComponent);
    const cards = element.querySelectorAll<HTMLElement>('.change');
    expect(cards.length).toBeGreaterThan(2);
    const before = job.job()!.choices;
    cards[0]!.click();
    await settle();
    expect(job.job()!.choices).not.toEqual(before);
  });
});

describe('habits', () => {
  it('are taken over as a set, and made a wish of the client', async () => {
    const { press, element, job } = await show(HabitsComponent);
    await press('Gentle');
    expect(job.job()!.choices).toMatchObject({ school: 'cautious', wiping: 'rolled' });
    expect(element.querySelectorAll('tbody tr')).toHaveLength(habitKeys.length);
    await press('House habit');
    expect(job.job()!.wishes).toEqual({ school: 'cautious' });
    await press('Wished');
    expect(job.job()!.wishes).toEqual({});
  });
});

describe('a refusal', () => {
  it('has a note for the client, and goes ahead on a word that is recorded', async () => {
    const { press, element, job, settle } = await show(RefusalComponent);
    expect(element.textContent?.trim()).toBe('');
    const towels = (one: Job) => one.towels.map((batch) => ({ ...batch, clean: 30 }));
    // All of it or none.
    job.edit('grit', (one) => ({ ...one, choices: { ...one.choices, parts: 'all' }, towels: towels(one), soil: { ...one.soil, roof: { deposits: [{ kind: 'grit', level: 4 }], spots: {} } } }));
    await settle();
    expect(job.plan()!.method).toBe('decline');
    expect(element.textContent).toContain('full rinse wash');
    await press('Decline it');
    expect(job.job()!.refused!.why).toContain('full rinse wash');
    expect(element.textContent).toContain('is in the log');
    await press('Take that back');
    expect(job.job()!.refused).toBeNull();
    await press('Client insists');
    await press('Go ahead');
    expect(element.querySelector('.fault')?.textContent).toContain('Who agrees');
    element.querySelector<HTMLInputElement>('#consent-by')!.value = 'The owner';
    await press('Go ahead');
    expect(job.job()!.consent).toMatchObject({ by: 'The owner', on: job.job()!.date });
    expect(job.plan()!.method).not.toBe('decline');
    await press('Take that back');
    expect(job.job()!.consent).toBeNull();
  });
});

describe('the walk-round', () => {
  it('shows the forecast through a veil where nobody has looked, and marks as pins', async () => {
    const { job } = await show(WalkRoundStage);
    const zones = job.zones();
    const looks = soilLooks(zones, { ...job.job()!, soil: {} });
    expect(looks.get('left-sill')).toMatchObject({ forecast: true, fill: expect.stringMatching(/^soil-/) });
    expect(looks.get('left-sill')!.says).toContain('factor of two');
    expect(looks.get('roof')!.pins).toBe(1);
    const plan = planJob({ ...job.job()!, soil: {} });
    const sill = plan.zones.find(({ zone: { id } }) => id === 'left-sill')!;
    expect(forecastWords(sill.soil, job.units())).toMatch(/road film [\d.]+ g\/m².*factor of 2/);
    expect(soilLooks(zones, { ...job.job()!, soil: {}, since: [] }).get('roof')!.fill).toBe('unseen');
  });

  it('takes stretches of days, a panel’s warmth, and marks that were there before', async () => {
    const { press, element, job, view, settle } = await show(WalkRoundStage);
    await press('Change the days');
    await press('Add a period');
    expect(job.job()!.since).toHaveLength(2);
    type(element.querySelectorAll<HTMLInputElement>('esm-since input')[1]!, '-4');
    expect(job.job()!.since[0]!.km).toBe(0);
    type(element.querySelectorAll<HTMLInputElement>('esm-since input')[1]!, '200');
    await settle();
    expect(job.job()!.since[0]!.km).toBe(200);
    view.choose('bonnet');
    await settle();
    await press('Thermometer (simulated)');
    expect(job.job()!.readings.bonnet).toBeGreaterThan(15);
    type(element.querySelector<HTMLInputElement>('#panel-reading')!, '400');
    await settle();
    expect(element.querySelector('esm-reading .fault')).not.toBeNull();
    type(element.querySelector<HTMLInputElement>('#panel-reading')!, '41.5');
    await settle();
    expect(job.job()!.readings.bonnet).toBe(41.5);
    await press('Note a mark');
    expect(job.job()!.marks.at(-1)).toMatchObject({ zone: 'bonnet', kind: 'scratch' });
  });

  it('keeps a reading for its hour only', async () => {
    const { job } = await show(WalkRoundStage);
    job.edit('read', (one) => ({ ...one, readings: { roof: celsius(40) } }));
    job.edit('later', (one) => atHour(one, 15));
    expect(job.job()!.readings).toEqual({});
  });
});

describe('the work order', () => {
  it('names what was there before, what stays, and dries the body where that is the school', async () => {
    const { element, job, settle } = await show(WorkOrderStage);
    expect(element.textContent).toContain('Existing marks: Left front door, lower: scratch');
    job.edit('tar', (one) => ({
      ...one,
      products: one.products.filter(({ id }) => id !== 'p-tar'),
      towels: one.towels.map((batch) => ({ ...batch, clean: 20 })),
      soil: { ...one.soil, roof: { deposits: [], spots: { tar: 2 } } },
      choices: { ...one.choices, drying: 'body', method: 'rinseless' },
    }));
    await settle();
    expect(element.textContent).toContain('2 tar spots stay');
    expect([...element.querySelectorAll('.lap h3')].map((title) => title.textContent)).toContainEqual(expect.stringContaining('Dry the body'));
  });
});

describe('mixing', () => {
  it('advises a strength within the label’s band, labels the vessel, and counts no caps unmeasured', async () => {
    const { press, element, job, settle, fixture } = await show(MixStage);
    await press('Mix it like that');
    expect(job.job()!.products.some(({ uses }) => uses.some(({ origin }) => origin === 'computed'))).toBe(true);
    await press('Vessel label');
    expect(element.querySelector('.vessel-label')?.textContent).toContain('1 to');
    (fixture.componentInstance as unknown as { measureWith(kind: string): void }).measureWith('cap');
    await settle();
    expect(job.job()!.device.kind).toBe('syringe');
    expect(element.textContent).toContain('Measure your cap first');
    type(element.querySelector<HTMLInputElement>('#step')!, '12');
    await settle();
    expect(job.job()!.device).toMatchObject({ kind: 'cap', stepMl: 12, capacityMl: 12 });
  });

  it('works any dilution out at the bench, both ways a label may be read', async () => {
    const { element, settle } = await show(BenchPage);
    expect(element.textContent).toContain('31 mL of product');
    const number = element.querySelector<HTMLInputElement>('#number')!;
    type(number, '4', 'input');
    await settle();
    expect(element.textContent).toContain('1.6 L of product');
    expect(element.textContent).toContain('1 part in 4 parts of mix');
    expect(element.textContent).toMatch(/25 % more product/);
    type(number, 'a lot', 'input');
    await settle();
    expect(element.querySelector('.note.stop')?.textContent).toContain('makes no mix');
    type(number, '256', 'input');
    const size = element.querySelector<HTMLInputElement>('#volume')!;
    type(size, '20000', 'input');
    await settle();
    expect(element.querySelectorAll('esm-vessel-drawing')).toHaveLength(1);
  });
});
