import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { TestBed } from '@angular/core/testing';
import { readCollection } from '@esmero/exchange';
import { Entries } from '../../state/entries';
import { TransferDesk } from '../../state/transfer-desk';
import { show } from '../../testing/show';
import { ImportPage } from './import.page';

beforeEach(() => vi.useFakeTimers({ toFake: ['Date'], now: new Date('2031-07-14T09:00:00') }));
afterEach(() => vi.useRealTimers());

async function page() {
  const all = await show(ImportPage);
  const brought: string[] = [];
  vi.spyOn(TestBed.inject(TransferDesk), 'open').mockImplementation(async (file) => void brought.push(await file.text()));
  const drop = async (name: string, text: string): Promise<void> => {
    const event = new Event('drop');
    Object.defineProperty(event, 'dataTransfer', { value: { files: [new File([text], name)] } });
    all.element.querySelector('.page')!.dispatchEvent(event);
    // The rules of files are fetched when the first one comes.
    await vi.waitFor(async () => {
      await all.settle();
      expect(all.element.querySelector('h2, [role=alert]')).not.toBeNull();
    }, 20_000);
  };
  const last = () => {
    const read = readCollection(brought.at(-1)!);
    if (!read.ok) throw new Error(JSON.stringify(read.why));
    return read.value;
  };
  return { ...all, drop, last, entries: TestBed.inject(Entries) };
}

describe('files of other programs', () => {
  it('have their columns guessed, every row looked at, and only sound rows brought in', async () => {
    const { element, drop, press, last } = await page();
    await drop('people.csv', 'Customer;Phone;Car;Body\nNet maker;555 0201;Estate;estate\n;555 0203;Ghost;sedan\nRope walk;1;Truck;lorry');
    expect(element.textContent).toContain('One row can be brought in.');
    const bad = [...element.querySelectorAll('tr.bad')].map((row) => row.textContent);
    expect(bad).toHaveLength(2);
    expect(bad[0]).toMatch(/3.*Name: Should be/s);
    expect(bad[1]).toMatch(/4.*Body of the car: Should be one of/s);
    await press('Bring in one row');
    expect(last().library.map(({ kind, item }) => [kind, item.name])).toEqual(expect.arrayContaining([['client', 'Net maker'], ['vehicle', 'Estate']]));
  });

  it('ask for a column that is needed, and take the one that is said', async () => {
    const { element, drop, fixture, settle } = await page();
    await drop('people.csv', 'Who;Tel\nNet maker;555');
    expect(element.textContent).toContain('Say which column has: Name.');
    (fixture.componentInstance as unknown as { take(key: string, column: number): void }).take('name', 0);
    await settle();
    expect(element.textContent).toContain('One row can be brought in.');
  });

  it('that are calendars take time, and move stops to where they are now', async () => {
    const { element, drop, press, last } = await page();
    const events = ['BEGIN:VEVENT', 'UID:job.demo-deck@esmero', 'DTSTAMP:20310101T000000Z', 'DTSTART:20310716T080000Z', 'DTEND:20310716T090000Z', 'END:VEVENT', 'BEGIN:VEVENT', 'UID:x', 'DTSTAMP:20310101T000000Z', 'SUMMARY:Dentist', 'DTSTART:20310714T080000', 'DTEND:20310714T093000', 'END:VEVENT'];
    await drop('cal.ics', ['BEGIN:VCALENDAR', 'VERSION:2.0', 'PRODID:x', ...events, 'END:VCALENDAR', ''].join('\r\n'));
    expect(element.textContent).toContain('One other event takes your time.');
    expect(element.textContent).toContain('One of your stops was moved in it.');
    await press('Bring all of it in');
    expect(last().jobs.map(({ job }) => [job.id, job.date])).toEqual([['demo-deck', '2031-07-16']]);
    expect(last().library.map(({ item }) => item)).toMatchObject([{ name: 'Dentist', date: '2031-07-14', fromHour: 8, untilHour: 9.5 }]);
  });

  it('that are contacts become clients, and what is none of these says so', async () => {
    const { element, drop } = await page();
    await drop('ada.vcf', 'BEGIN:VCARD\r\nVERSION:3.0\r\nFN:Ada Bay\r\nTEL:555 0100\r\nEND:VCARD\r\n');
    expect(element.textContent).toContain('Ada Bay');
    await drop('photo.png', 'PNG\u0000\u0001');
    expect(element.querySelector('[role=alert]')!.textContent).toContain('It is not a text file');
    await drop('broken.ics', 'BEGIN:VCALENDAR\r\nnonsense');
    expect(element.querySelector('[role=alert]')!.textContent).toContain('no calendar');
  });
});
