import { wrap } from 'comlink';
import type { Paper } from './paper';
import type { Printer } from './protocol';

export { labelLine } from './labels';
export type {
  BillPaper,
  HandoverPaper,
  LabelsPaper,
  Paper,
  PassLine,
  StatementPaper,
  VesselLabel,
  WorkOrderPaper,
} from './paper';

/**
 * A paper as PDF, laid out in a worker of its own that ends with it.
 * @param base address of the application, where its fonts lie
 * @param signal stops the work
 * @throws Error where the worker or a font could not be loaded, or the work was stopped
 */
export async function pdfOf(paper: Paper, base: string, signal: AbortSignal): Promise<Blob> {
  const worker = new Worker(new URL('./papers.worker', import.meta.url), { type: 'module' });
  const ended = new Promise<never>((_resolve, reject) => {
    worker.addEventListener('error', (event) =>
      reject(new Error(event.message || 'This part of Esmero could not be loaded. Reload the page.')),
    );
    signal.addEventListener('abort', () => reject(new Error('Stopped.')));
  });
  const font = (weight: number): string =>
    new URL(`fonts/atkinson-hyperlegible-next-latin-${weight}-normal.woff`, base).href;
  try {
    return await Promise.race([wrap<Printer>(worker).pdf(paper, { regular: font(400), bold: font(700) }), ended]);
  } finally {
    worker.terminate();
  }
}
