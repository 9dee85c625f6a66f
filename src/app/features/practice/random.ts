import { InjectionToken } from '@angular/core';

/** Where chance comes from, 0 to 1. Tests put a steady one here. */
export const RANDOM = new InjectionToken<() => number>('random', { factory: () => Math.random });
