import type { Paper } from './paper';

/** Where the two fonts are fetched from. */
export interface Fonts {
  readonly regular: string;
  readonly bold: string;
}

/** What is asked of the worker. */
export interface Printer {
  pdf(paper: Paper, fonts: Fonts): Promise<Blob>;
}
