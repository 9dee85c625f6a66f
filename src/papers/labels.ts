import type { Content, TDocumentDefinitions } from 'pdfmake/interfaces';
import { paperOf } from './layout';
import type { LabelsPaper, VesselLabel } from './paper';

/** What is on a label, as one line for a QR code. */
export const labelLine = ({ content, product, ratio, vessel, date }: VesselLabel): string =>
  `${content}; ${product}; ${ratio}; ${vessel}; mixed ${date}`;

const labelOf =
  (caution: string) =>
  (label: VesselLabel): Content => ({
    unbreakable: true,
    margin: [0, 0, 0, 10],
    table: {
      widths: ['*', 86],
      body: [
        [
          {
            border: [true, true, false, true],
            margin: [6, 5, 6, 5],
            stack: [
              { text: label.content, fontSize: 15, bold: true },
              { text: label.ratio, fontSize: 13, bold: true },
              { text: label.product },
              { text: `${label.vessel} · mixed ${label.date}` },
              { text: caution, fontSize: 7.5, margin: [0, 3, 0, 0] },
            ],
          },
          { border: [false, true, true, true], margin: [0, 8, 6, 5], qr: labelLine(label), fit: 78 },
        ],
      ],
    },
  });

/** Every vessel of a job on its own label, two beside each other, to cut out. */
export function labels({ labels: all, caution }: LabelsPaper): TDocumentDefinitions {
  const columns = [0, 1].map((side) => all.filter((_label, i) => i % 2 === side).map(labelOf(caution)));
  return paperOf([{ columns, columnGap: 12 }], 'Vessel labels', 'Esmero');
}
