import type { Content, TDocumentDefinitions } from 'pdfmake/interfaces';

const INK = '#1b2526';
const SOFT = '#4a5553';
const LINE = '#cdc6b4';
const SEA = '#0d5f5a';

/** Points: A4 with room for a thumb. */
const MARGIN = 40;

/** What all papers share: type, colours, margins and the foot with the number of the page. */
export function paperOf(content: Content[], title: string, foot: string): TDocumentDefinitions {
  return {
    info: { title, creator: 'Esmero' },
    pageSize: 'A4',
    pageMargins: [MARGIN, MARGIN, MARGIN, MARGIN + 12],
    defaultStyle: { font: 'Esmero', fontSize: 9.5, lineHeight: 1.1, color: INK },
    styles: {
      title: { fontSize: 20, bold: true },
      heading: { fontSize: 12.5, bold: true, color: SEA, margin: [0, 10, 0, 3] },
      large: { fontSize: 13, bold: true },
      soft: { color: SOFT },
      small: { fontSize: 8, color: SOFT },
    },
    content,
    footer: (page, pages) => ({
      margin: [MARGIN, 8, MARGIN, 0],
      columns: [
        { text: foot, style: 'small' },
        { text: `${page} / ${pages}`, style: 'small', alignment: 'right', width: 'auto' },
      ],
    }),
  };
}

/** Title and what it is about, with the car at the right. */
export const headOf = (title: string, about: string, car: string): Content => ({
  columns: [
    [
      { text: title, style: 'title' },
      { text: about, style: 'soft', margin: [0, 2, 0, 0] },
    ],
    ...(car ? [{ svg: car, width: 120 }] : []),
  ],
  margin: [0, 0, 0, 8],
});

export const heading = (text: string): Content => ({ text, style: 'heading', headlineLevel: 1 });

export const bullets = (lines: readonly string[]): Content => ({ ul: [...lines], margin: [0, 0, 0, 2] });

/** Lines between rows only, thin. */
export const rowLines = {
  hLineWidth: (row: number): number => (row === 0 ? 0 : 0.5),
  vLineWidth: (): number => 0,
  hLineColor: (): string => LINE,
  paddingLeft: (column: number): number => (column === 0 ? 0 : 5),
  paddingRight: (): number => 0,
  paddingTop: (): number => 1.8,
  paddingBottom: (): number => 1.8,
};
