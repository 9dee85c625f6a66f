import type { Content, TDocumentDefinitions, TableCell } from 'pdfmake/interfaces';
import { bullets, headOf, heading, paperOf, rowLines } from './layout';
import type { PassLine, WorkOrderPaper } from './paper';

const rowOf = ({ number, who, what, how, sides, wet, at, hand }: PassLine): TableCell[] => [
  { text: number, bold: true, alignment: 'right' },
  { text: [...(who ? [{ text: `${who} `, bold: true }] : []), what] },
  { text: how, style: 'soft' },
  { text: sides },
  { text: wet, alignment: 'right', style: 'soft' },
  { text: at, alignment: 'right', bold: true },
  { text: hand, alignment: 'right' },
];

const widths = [14, '*', 92, 96, 30, 30, 28];

/** What the columns are, once above all laps. */
const columns: Content = {
  layout: 'noBorders',
  margin: [0, 2, 0, -4],
  table: {
    widths,
    body: [
      ['', 'Panels', 'How', 'Towel:sides', 'Wet at', 'Wipe at', 'Hand'].map((text, i): TableCell => ({
        text,
        style: 'small',
        alignment: i > 3 ? 'right' : 'left',
      })),
    ],
  },
};

const lapOf = ({ title, passes }: WorkOrderPaper['laps'][number]): Content => ({
  unbreakable: passes.length <= 12,
  stack: [
    { text: title, bold: true, margin: [0, 4, 0, 0] },
    { layout: rowLines, table: { widths, body: passes.map(rowOf), dontBreakRows: true } },
  ],
});

/** One or two pages: what to know, what to mix and count out, then pass by pass. */
export function workOrder({
  title,
  about,
  car,
  method,
  totals,
  notes,
  mixes,
  count,
  laps,
  key,
  after,
  care,
  foot,
}: WorkOrderPaper): TDocumentDefinitions {
  return paperOf(
    [
      headOf(title, about, car),
      { text: method, style: 'large' },
      { text: totals, margin: [0, 1, 0, 4] },
      ...(notes.length > 0 ? [bullets(notes)] : []),
      {
        columns: [
          [
            heading('Mix'),
            ...mixes.map(({ name, says }): Content => ({
              text: [{ text: `${name}. `, bold: true }, says],
              margin: [0, 0, 0, 3],
            })),
          ],
          [heading('Count out'), bullets(count)],
        ],
        columnGap: 18,
      },
      heading('Work order'),
      columns,
      ...laps.map(lapOf),
      { text: key, style: 'small', margin: [0, 4, 0, 0] },
      ...(after.length > 0 ? [heading('Afterwards'), bullets(after)] : []),
      ...(care.length > 0 ? [heading('Care'), bullets(care)] : []),
    ],
    title,
    foot,
  );
}
