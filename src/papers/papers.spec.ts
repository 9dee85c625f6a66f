import fc from 'fast-check';
import { fileURLToPath } from 'node:url';
import pdfmake from 'pdfmake';
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';
import { beforeAll, describe, expect, it } from 'vitest';
import { runs } from '@esmero/testing';
import { documentOf } from './document';
import { labelLine } from './labels';
import type { BillPaper, HandoverPaper, Paper, StatementPaper, WorkOrderPaper } from './paper';

const font = (weight: number): string =>
  fileURLToPath(
    new URL(
      `../../node_modules/@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-${weight}-normal.woff`,
      import.meta.url,
    ),
  );

beforeAll(() => {
  pdfmake.setUrlAccessPolicy(() => false);
  pdfmake.setLocalAccessPolicy((path) => [font(400), font(700)].includes(path));
  pdfmake.setFonts({ Esmero: { normal: font(400), bold: font(700), italics: font(400), bolditalics: font(700) } });
});

/** What another program reads in the file, page by page; lines are broken anywhere, so that spaces say nothing. */
async function read(paper: Paper): Promise<readonly string[]> {
  const buffer = await pdfmake.createPdf(documentOf(paper)).getBuffer();
  const pdf = await getDocument({ data: new Uint8Array(buffer), verbosity: 0 }).promise;
  return Promise.all(
    Array.from({ length: pdf.numPages }, async (_, i) => {
      const { items } = await (await pdf.getPage(i + 1)).getTextContent();
      return items
        .map((item) => ('str' in item ? item.str : ''))
        .join('')
        .replace(/\s/g, '');
    }),
  );
}

const closed = (text: string): string => text.replace(/\s/g, '');

const order = (passes: number): WorkOrderPaper => ({
  kind: 'work-order',
  title: 'Estate on the deck',
  about: 'An estate · The deck · 14 Jul 2031',
  car: '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 4 1"><path d="M0 0L4 0L4 1Z" fill="#888"/></svg>',
  method: 'Rinseless',
  totals: '32 min, 4.5 L of water',
  notes: ['Nothing may reach the drain.'],
  mixes: [{ name: 'Rinseless wash, Wash bucket', says: '4 L of water, then 16 mL of product: 1 to 250.' }],
  count: ['Towel 1: wash towels, 8 sides'],
  laps: [
    {
      title: 'Uppers',
      passes: Array.from({ length: passes }, (_, i) => ({
        number: String(i + 1),
        who: '',
        what: `Panel${i + 1}`,
        how: 'Rinseless',
        sides: `+${i + 1}:1–2`,
        wet: '',
        at: '5:00',
        hand: '0:30',
      })),
    },
  ],
  key: 'What the marks mean.',
  after: ['Waste water to a sanitary drain.'],
  care: ['Gloves and eye protection.'],
  foot: 'Esmero',
});

const paper: HandoverPaper = {
  kind: 'handover',
  title: 'For the household',
  about: 'An estate · The deck',
  car: '',
  sections: [
    { title: 'What was done: rinseless', lines: ['Roof and bonnet: rinseless wash'], note: 'Not our measurement.' },
  ],
  pictures: [
    {
      says: 'before: sill',
      url: 'data:image/png;base64,iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
    },
  ],
  next: 'Next wash by 28 Jul 2031.',
  nextNote: 'A forecast.',
  together: 'Seen together on the walk-round.',
  signed: {
    by: 'A. Ferry, 14 Jul',
    svg: '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 300 100"><path d="M1 2L3 4" stroke="#000"/></svg>',
  },
  foot: 'Esmero',
};

describe('papers', () => {
  it('hold every pass with its towels, in order, whatever their number', async () => {
    await fc.assert(
      fc.asyncProperty(fc.integer({ min: 1, max: 70 }), async (passes) => {
        const text = (await read(order(passes))).join('');
        const found = [...text.matchAll(/Panel(\d+)Rinseless/g)].map(([, number]) => Number(number));
        expect(found).toEqual(Array.from({ length: passes }, (_, i) => i + 1));
        for (let i = 1; i <= passes; i++) expect(text).toContain(`+${i}:1–2`);
      }),
      { numRuns: runs(8) },
    );
  });

  it('number their pages, and an ordinary car takes two', async () => {
    const pages = await read(order(30));
    expect(pages.length).toBeLessThanOrEqual(2);
    pages.forEach((page, i) => expect(page).toContain(`${i + 1}/${pages.length}`));
  });

  it('say on a handover all that it was given', async () => {
    const text = (await read(paper)).join('');
    const given = [
      paper.title,
      paper.next,
      paper.nextNote,
      paper.together,
      paper.signed!.by,
      ...paper.sections.flatMap(({ title, lines, note }) => [title, ...lines, note ?? '']),
      ...paper.pictures.map(({ says }) => says),
    ];
    for (const one of given) expect(text).toContain(closed(one));
  });

  it('leave a line for whoever has not signed yet', async () => {
    expect((await read({ ...paper, signed: null })).join('')).toContain('Dateandclient');
  });

  it('say on a bill what it is for, how much, to whom and until when', async () => {
    const made: BillPaper = {
      kind: 'bill',
      title: 'Quote Q2031-001',
      from: ['Two and a Van', 'Mill Lane'],
      to: ['The household', '7 Steps'],
      facts: [
        ['Number', 'Q2031-001'],
        ['Holds until', '13 Aug 2031'],
      ],
      lines: [
        { text: 'Wash, an estate', count: '3', amount: '€120.00' },
        { text: 'Three cars, less', count: '', amount: '-€20.00' },
      ],
      sums: [
        ['Before tax', '€100.00'],
        ['VAT 20 %', '€20.00'],
      ],
      total: ['Quote', '€120.00'],
      notesTitle: 'Otherwise',
      notes: ['If it is gritty: €9.00 more.'],
      terms: 'Thank you.',
      foot: 'Two and a Van',
    };
    const text = (await read(made)).join('');
    const given = [
      made.title,
      ...made.from,
      ...made.to,
      ...made.facts.flat(),
      ...made.lines.flatMap((line) => Object.values(line)),
      ...made.sums.flat(),
      ...made.total,
      made.notesTitle,
      ...made.notes,
      made.terms,
    ];
    for (const one of given) expect(text).toContain(closed(one));
  });

  it('state figures with their sum, and what is behind them', async () => {
    const made: StatementPaper = {
      kind: 'statement',
      title: 'Water in 2031',
      about: 'Two and a Van',
      sections: [{ title: 'How', lines: ['Counted afterwards.'] }],
      table: {
        head: ['Month', 'Water'],
        rows: [
          ['July 2031', '12 L'],
          ['August 2031', '8 L'],
        ],
        sum: ['Year', '20 L'],
      },
      foot: 'Two and a Van',
    };
    const text = (await read(made)).join('');
    for (const one of [
      made.title,
      made.about,
      'How',
      'Counted afterwards.',
      ...made.table!.head,
      ...made.table!.rows.flat(),
      ...made.table!.sum,
    ])
      expect(text).toContain(closed(one));
    expect((await read({ ...made, table: null })).join('')).not.toContain('Year');
  });

  it('put every vessel on a label with its ratio and the caution', async () => {
    const labels = [1, 2, 3].map((i) => ({
      content: `Mix${i}`,
      product: 'Blue label',
      ratio: `1 to ${i}00 water`,
      vessel: `Bottle${i}`,
      date: '14 Jul 2031',
    }));
    const text = (await read({ kind: 'labels', labels, caution: 'Not for drinking.' })).join('');
    for (const { content, ratio, vessel } of labels)
      for (const one of [content, vessel, ratio]) expect(text).toContain(closed(one));
    expect(text.match(/Notfordrinking/g)).toHaveLength(3);
    expect(labelLine(labels[0]!)).toBe('Mix1; Blue label; 1 to 100 water; Bottle1; mixed 14 Jul 2031');
  });
});
