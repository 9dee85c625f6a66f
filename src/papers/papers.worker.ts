import { expose } from 'comlink';
import pdfmake from 'pdfmake/build/pdfmake';
import { documentOf } from './document';
import type { Paper } from './paper';
import type { Fonts, Printer } from './protocol';

/** Lays papers out; fonts come from where the application came from, and nothing else is fetched. */
const printer: Printer = {
  async pdf(paper: Paper, { regular, bold }: Fonts): Promise<Blob> {
    pdfmake.setUrlAccessPolicy((url) => url === regular || url === bold);
    pdfmake.addFonts({ Esmero: { normal: regular, bold, italics: regular, bolditalics: bold } });
    return pdfmake.createPdf(documentOf(paper)).getBlob();
  },
};

expose(printer);
