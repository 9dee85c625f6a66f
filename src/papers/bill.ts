import type { Content, TDocumentDefinitions } from 'pdfmake/interfaces';
import { bullets, heading, paperOf, rowLines } from './layout';
import type { BillPaper } from './paper';

const right = (text: string): Content => ({ text, alignment: 'right' });

/** A quote or an invoice on one page: from whom, to whom, for what, how much. */
export function bill({
  title,
  from,
  to,
  facts,
  lines,
  sums,
  total,
  notesTitle,
  notes,
  terms,
  foot,
}: BillPaper): TDocumentDefinitions {
  const [name, ...rest] = from;
  return paperOf(
    [
      {
        columns: [
          { text: title, style: 'title' },
          [right(name ?? ''), ...rest.map((line): Content => ({ text: line, alignment: 'right', style: 'soft' }))],
        ],
      },
      {
        columns: [
          [...to.map((line): Content => ({ text: line }))],
          {
            width: 200,
            table: {
              widths: ['*', 'auto'],
              body: facts.map(([what, value]) => [{ text: what, style: 'soft' }, right(value)]),
            },
            layout: 'noBorders',
          },
        ],
        margin: [0, 30, 0, 24],
      },
      {
        table: {
          widths: ['*', 40, 90],
          headerRows: 1,
          body: [
            [
              { text: 'For', style: 'soft' },
              { text: 'Cars', style: 'soft', alignment: 'right' },
              { text: 'Before tax', style: 'soft', alignment: 'right' },
            ],
            ...lines.map(({ text, count, amount }): Content[] => [{ text }, right(count), right(amount)]),
          ],
        },
        layout: { ...rowLines, paddingTop: () => 5, paddingBottom: () => 5 },
      },
      {
        margin: [0, 12, 0, 16],
        unbreakable: true,
        columns: [
          { text: '', width: '*' },
          {
            width: 240,
            table: {
              widths: ['*', 'auto'],
              body: [
                ...sums.map(([what, value]): Content[] => [{ text: what, style: 'soft' }, right(value)]),
                [
                  { text: total[0], style: 'large' },
                  { text: total[1], style: 'large', alignment: 'right' },
                ],
              ],
            },
            layout: rowLines,
          },
        ],
      },
      ...(notes.length > 0 ? [heading(notesTitle), bullets(notes)] : []),
      ...(terms ? [{ text: terms, margin: [0, 16, 0, 0] as [number, number, number, number] }] : []),
    ],
    title,
    foot,
  );
}
