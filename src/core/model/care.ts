/** What goes onto painted panels when they are clean: on dry paint, while it is dried, or as a coat that stays. */
export const paintCares = ['topper', 'drying-aid', 'sealant'] as const;
export type PaintCare = (typeof paintCares)[number];

/** All that is put onto a clean car, in the order in which it is done. */
export const careUses = [...paintCares, 'trim-dressing', 'tyre-dressing'] as const;
export type CareUse = (typeof careUses)[number];

export const careReaches = ['uppers', 'body'] as const;
export type CareReach = (typeof careReaches)[number];

/** Fresh dressing is slung off by turning wheels: it may wait for the drive home. */
export const dressTimes = ['now', 'after-drive'] as const;
export type DressTime = (typeof dressTimes)[number];

/** What of it is asked for; paint gets one layer at a time. */
export interface Care {
  readonly paint: { readonly use: PaintCare; readonly on: CareReach } | null;
  readonly trim: boolean;
  readonly tyres: DressTime | null;
}

export const noCare: Care = { paint: null, trim: false, tyres: null };

/** What was put onto a car, and until when its maker says that it protects; null where nothing is claimed. */
export interface Protection {
  readonly product: string;
  readonly use: CareUse;
  readonly on: CareReach | null;
  /** ISO days. */
  readonly since: string;
  readonly until: string | null;
}
