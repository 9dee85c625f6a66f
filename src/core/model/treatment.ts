/** Loosening without touching, before anything is wiped. */
export const flushes = ['none', 'pump', 'hot-pump', 'cordless', 'mains', 'bay', 'steam', 'mist', 'air'] as const;
export type Flush = (typeof flushes)[number];

/** Lifting by contact. */
export const contacts = ['waterless', 'foam', 'rinseless', 'presoak-rinseless', 'shampoo', 'foam-shampoo'] as const;
export type Contact = (typeof contacts)[number];

/** What is done to a zone: a flush and a contact, or nothing here and now. */
export type TreatmentId = `${Flush}/${Contact}` | 'leave';

export type Working = Exclude<TreatmentId, 'leave'>;

export const workingTreatments: readonly Working[] = flushes.flatMap((flush) =>
  contacts.map((contact): Working => `${flush}/${contact}`),
);

export const treatmentIds: readonly TreatmentId[] = [...workingTreatments, 'leave'];

interface Parts {
  readonly flush: Flush;
  readonly contact: Contact;
}

const parts: ReadonlyMap<Working, Parts> = new Map(
  flushes.flatMap((flush) => contacts.map((contact): [Working, Parts] => [`${flush}/${contact}`, { flush, contact }])),
);

/** The two halves of a working treatment. */
export const partsOf = (treatment: Working): Parts => parts.get(treatment)!;
