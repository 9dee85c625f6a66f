import type { TDocumentDefinitions } from 'pdfmake/interfaces';
import { bill } from './bill';
import { handover } from './handover';
import { labels } from './labels';
import type { Paper } from './paper';
import { statement } from './statement';
import { workOrder } from './work-order';

/** A paper as the library for PDF wants it. */
export function documentOf(paper: Paper): TDocumentDefinitions {
  switch (paper.kind) {
    case 'work-order':
      return workOrder(paper);
    case 'handover':
      return handover(paper);
    case 'labels':
      return labels(paper);
    case 'bill':
      return bill(paper);
    case 'statement':
      return statement(paper);
  }
}
