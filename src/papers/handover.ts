import type { Content, TDocumentDefinitions } from 'pdfmake/interfaces';
import { bullets, headOf, heading, paperOf } from './layout';
import type { HandoverPaper } from './paper';

const PER_ROW = 3;

/** Pictures side by side, each with its words below. */
function picturesOf(pictures: HandoverPaper['pictures']): Content[] {
  const rows = Array.from({ length: Math.ceil(pictures.length / PER_ROW) }, (_, i) =>
    pictures.slice(i * PER_ROW, (i + 1) * PER_ROW),
  );
  return rows.map((row): Content => ({
    columns: row.map(({ says, url }) => ({
      width: 160,
      stack: [
        { image: url, fit: [160, 120] as [number, number] },
        { text: says, style: 'small' },
      ],
    })),
    columnGap: 10,
    margin: [0, 4, 0, 6],
    unbreakable: true,
  }));
}

const line = (says: string): Content => ({
  stack: [
    { canvas: [{ type: 'line', x1: 0, y1: 0, x2: 220, y2: 0, lineWidth: 0.6 }] },
    { text: says, style: 'small', margin: [0, 2, 0, 0] },
  ],
});

/** A page a client likes: what was done, marks, care, when to come back, and the signatures. */
export function handover({
  title,
  about,
  car,
  sections,
  pictures,
  next,
  nextNote,
  together,
  signed,
  foot,
}: HandoverPaper): TDocumentDefinitions {
  return paperOf(
    [
      headOf(title, about, car),
      ...sections.flatMap((section): Content[] => [
        heading(section.title),
        bullets(section.lines),
        ...(section.note ? [{ text: section.note, style: 'small' }] : []),
      ]),
      ...picturesOf(pictures),
      ...(next ? [heading('The next visit'), { text: next, style: 'large' }, { text: nextNote, style: 'small' }] : []),
      {
        unbreakable: true,
        margin: [0, 18, 0, 0],
        stack: [
          { text: together, margin: [0, 0, 0, signed ? 4 : 34] },
          {
            columns: [
              [...(signed ? [{ svg: signed.svg, width: 170 }] : []), line(signed ? signed.by : 'Date and client')],
              { margin: [0, signed ? 57 : 0, 0, 0], stack: [line('Detailer')] },
            ],
            columnGap: 40,
          },
        ],
      },
    ],
    title,
    foot,
  );
}
