import { type Day, dayAt } from '@esmero/units';

/** The day of a moment where this device is, e.g. 2031-07-14. */
export const dayHere = (at: number): Day => dayAt(at, -new Date(at).getTimezoneOffset() / 60);

/** The day it is where this device is. */
export const today = (): Day => dayHere(Date.now());
