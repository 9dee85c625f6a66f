/** A pass on the sheet for the car. */
export interface PassLine {
  /** Empty for what is done for the whole job. */
  readonly number: string;
  readonly who: string;
  readonly what: string;
  readonly how: string;
  readonly sides: string;
  /** When it is wetted, where that is well before its turn; when its wipe begins; and the time by hand. */
  readonly wet: string;
  readonly at: string;
  readonly hand: string;
}

/** The order of work on one or two pages, for when the phone stays in the van. */
export interface WorkOrderPaper {
  readonly kind: 'work-order';
  readonly title: string;
  /** Car, site, day, client. */
  readonly about: string;
  readonly car: string;
  readonly method: string;
  readonly totals: string;
  /** What has to be known beforehand, the most urgent first. */
  readonly notes: readonly string[];
  readonly mixes: readonly { readonly name: string; readonly says: string }[];
  readonly count: readonly string[];
  readonly laps: readonly { readonly title: string; readonly passes: readonly PassLine[] }[];
  /** What the marks of the list mean. */
  readonly key: string;
  readonly after: readonly string[];
  readonly care: readonly string[];
  readonly foot: string;
}

/** What the client gets. */
export interface HandoverPaper {
  readonly kind: 'handover';
  readonly title: string;
  readonly about: string;
  readonly car: string;
  readonly sections: readonly { readonly title: string; readonly lines: readonly string[]; readonly note?: string }[];
  /** Pictures as data URLs, in pairs or alone. */
  readonly pictures: readonly { readonly says: string; readonly url: string }[];
  /** When to come back, said large. */
  readonly next: string;
  readonly nextNote: string;
  readonly together: string;
  readonly signed: { readonly by: string; readonly svg: string } | null;
  readonly foot: string;
}

/** What is stuck on a vessel. */
export interface VesselLabel {
  readonly content: string;
  readonly product: string;
  readonly ratio: string;
  readonly vessel: string;
  /** When it was mixed, as people write it. */
  readonly date: string;
}

export interface LabelsPaper {
  readonly kind: 'labels';
  readonly labels: readonly VesselLabel[];
  readonly caution: string;
}

/** A quote or an invoice. What it costs oneself is not in it. */
export interface BillPaper {
  readonly kind: 'bill';
  readonly title: string;
  /** Who sends it: name, address, contact, tax number. */
  readonly from: readonly string[];
  readonly to: readonly string[];
  /** Day, until when it holds or when it is due. */
  readonly facts: readonly (readonly [name: string, value: string])[];
  readonly lines: readonly { readonly text: string; readonly count: string; readonly amount: string }[];
  readonly sums: readonly (readonly [name: string, value: string])[];
  /** What there is to pay, said large. */
  readonly total: readonly [name: string, value: string];
  readonly notesTitle: string;
  readonly notes: readonly string[];
  readonly terms: string;
  readonly foot: string;
}

/** What is done at a place, or was done in a year, for whoever answers for it. */
export interface StatementPaper {
  readonly kind: 'statement';
  readonly title: string;
  readonly about: string;
  readonly sections: readonly { readonly title: string; readonly lines: readonly string[] }[];
  /** Figures, the first column of them words; null where there are none. */
  readonly table: {
    readonly head: readonly string[];
    readonly rows: readonly (readonly string[])[];
    readonly sum: readonly string[];
  } | null;
  readonly foot: string;
}

/** Anything that is handed over as PDF: nothing but texts, so that it can be sent to a worker. */
export type Paper = WorkOrderPaper | HandoverPaper | LabelsPaper | BillPaper | StatementPaper;
