import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { TestBed } from '@angular/core/testing';
import { TransferDesk } from '../../state/transfer-desk';
import { deck } from '../../testing/desk';
import { show } from '../../testing/show';
import { ImportPage } from './import.page';

beforeEach(() => vi.useFakeTimers({ toFake: ['Date'], now: new Date('2031-07-14T09:00:00') }));
afterEach(() => vi.useRealTimers());

async function page() {
  const all = await show(ImportPage);
  const transfer = TestBed.inject(TransferDesk);
  const drop = async (name: string, text: BlobPart): Promise<void> => {
    const event = new Event('drop');
    Object.defineProperty(event, 'dataTransfer', { value: { files: [new File([text], name)] } });
    all.element.querySelector('.page')!.dispatchEvent(event);
    // The rules of files are fetched when the first one comes.
    await vi.waitFor(async () => {
      await all.settle();
      expect(transfer.busy()).toBeNull();
      expect(all.element.querySelector('h2, [role=alert]')).not.toBeNull();
    }, 20_000);
  };
  const settled = () =>
    vi.waitFor(async () => {
      await all.settle();
      expect(transfer.busy()).toBeNull();
    });
  /** What is asked about once it is to be brought in. */
  const asked = async (label: string) => {
    await all.press(label);
    await vi.waitFor(() => expect(transfer.review()).not.toBeNull());
    return transfer
      .review()!
      .review.rows.map(({ kind, name, standing, detail }) => [kind, name, standing, detail].filter(Boolean).join(' '));
  };
  return { ...all, drop, asked, settled };
}

describe('files of other programs', () => {
  it('have their columns guessed, every row looked at, and only sound rows brought in', async () => {
    const { element, drop, asked } = await page();
    await drop(
      'people.csv',
      'Customer;Phone;Car;Body\nNet maker;555 0201;Estate;estate\n;555 0203;Ghost;sedan\nRope walk;1;Truck;lorry',
    );
    expect(element.textContent).toContain('One client and one car can be brought in. 2 rows are left out');
    const bad = [...element.querySelectorAll('tr.bad')].map((row) => row.textContent);
    expect(bad).toHaveLength(2);
    expect(bad[0]).toMatch(/3.*Name: Should be/s);
    expect(bad[1]).toMatch(/4.*Body of the car: Should be one of/s);
    expect((await asked('Bring it in')).sort()).toEqual(['client Net maker new', 'vehicle Estate new']);
  });

  it('have their letters, however they are written', async () => {
    const { element, drop, settled, fixture } = await page();
    await drop(
      'people.csv',
      Uint8Array.from([...'Name\n'].map((letter) => letter.charCodeAt(0)).concat([0xc8, 0xe2, 0xe0, 0xed])),
    );
    expect(element.textContent).toContain('Èâàí');
    expect(element.textContent).toContain('check the names');
    await (fixture.componentInstance as unknown as { readAs(encoding: string): Promise<void> }).readAs('windows-1251');
    await settled();
    expect(element.textContent).toContain('Иван');
  });

  it('say of each row what it comes to', async () => {
    const { element, drop, asked } = await page();
    await drop('people.csv', 'Name,Phone,Car\nИван,1,Van\n王小明,2,Van\nИван,1,Estate');
    expect(element.textContent).toContain('2 clients and 3 cars can be brought in.');
    expect(
      [...element.querySelectorAll('tbody tr')].map((row) => row.querySelector('td:last-child')!.textContent.trim()),
    ).toEqual(['new', 'new', 'adds to Иван']);
    expect((await asked('Bring it in')).filter((row) => row.startsWith('client'))).toEqual([
      'client Иван new',
      'client 王小明 new',
    ]);
  });

  it('ask for a column that is needed, and take the one that is said', async () => {
    const { element, drop, fixture, settled } = await page();
    await drop('people.csv', 'Who;Tel\nNet maker;555');
    expect(element.textContent).toContain('Say which column has: Name.');
    (fixture.componentInstance as unknown as { take(key: string, column: number): void }).take('name', 0);
    await settled();
    expect(element.textContent).toContain('One client can be brought in.');
  });

  it('that are calendars take time, and move stops to where they are now', async () => {
    const { element, drop, asked } = await page();
    const events = [
      'BEGIN:VEVENT',
      'UID:job.demo-deck@esmero',
      'DTSTAMP:20310101T000000Z',
      'DTSTART:20310716T080000Z',
      'DTEND:20310716T090000Z',
      'END:VEVENT',
      'BEGIN:VEVENT',
      'UID:x',
      'DTSTAMP:20310101T000000Z',
      'SUMMARY:Dentist',
      'DTSTART:20310714T080000',
      'DTEND:20310714T093000',
      'END:VEVENT',
      'BEGIN:VEVENT',
      'UID:p',
      'SUMMARY:Ping',
      'DTSTAMP:20310101T000000Z',
      'DTSTART:20310714T080000',
      'DURATION:PT1M',
      'RRULE:FREQ=HOURLY',
      'END:VEVENT',
    ];
    await drop('cal.ics', ['BEGIN:VCALENDAR', 'VERSION:2.0', 'PRODID:x', ...events, 'END:VCALENDAR', ''].join('\r\n'));
    expect(element.textContent).toContain('One other event takes your time.');
    expect(element.textContent).toContain('One of your stops was moved in it.');
    expect(element.textContent).toContain('Ping: it repeats by the hour or more often');
    expect((await asked('Import everything')).map((row) => row.replace(/ new.*| different.*| newer.*/, ''))).toEqual([
      `job ${deck.name}`,
      'blocked Dentist',
    ]);
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
