import type { Content, TDocumentDefinitions } from 'pdfmake/interfaces';
import { bullets, headOf, heading, paperOf, rowLines } from './layout';
import type { StatementPaper } from './paper';

/** Points. */
const FIGURE = 78;

const right = (text: string): Content => ({ text, alignment: 'right' });

/** A statement for whoever answers for a place: sections, and figures as a table. */
export function statement({ title, about, sections, table, foot }: StatementPaper): TDocumentDefinitions {
  const figures: Content[] = table
    ? [
        {
          margin: [0, 10, 0, 6],
          table: {
            headerRows: 1,
            widths: ['*', ...table.head.slice(1).map(() => FIGURE)],
            body: [table.head, ...table.rows, table.sum].map((row, i, all): Content[] =>
              row.map(
                (text, column) =>
                  ({
                    ...(column === 0 ? { text } : (right(text) as object)),
                    ...(i === 0 ? { style: 'soft' } : {}),
                    ...(i === all.length - 1 ? { bold: true } : {}),
                  }) as Content,
              ),
            ),
          },
          layout: rowLines,
        },
      ]
    : [];
  return paperOf(
    [
      headOf(title, about, ''),
      ...figures,
      ...sections.flatMap(({ title: name, lines }): Content[] => [heading(name), bullets(lines)]),
    ],
    title,
    foot,
  );
}
