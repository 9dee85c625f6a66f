import { InjectionToken } from '@angular/core';
import type { Attitude } from '@esmero/core';

/** How the device is held, and whether it knows where north is. */
export interface Held extends Attitude {
  readonly knowsNorth: boolean;
}

/** Tells how the device is held, until it is called off. Resolves to null where it does not tell, or is not allowed to. */
export type Orientation = (tell: (held: Held) => void) => Promise<(() => void) | null>;

/** Some browsers give the compass apart. */
interface WithCompass extends DeviceOrientationEvent {
  readonly webkitCompassHeading?: number;
}

type AskedFirst = typeof DeviceOrientationEvent & { readonly requestPermission?: () => Promise<'granted' | 'denied'> };

/** So long a device may be silent before it is taken for one without sensors, ms. */
const SILENT_MS = 1500;

const device: Orientation = async (tell) => {
  if (typeof DeviceOrientationEvent === 'undefined') return null;
  const { requestPermission } = DeviceOrientationEvent as AskedFirst;
  if (requestPermission && (await requestPermission().catch(() => 'denied')) !== 'granted') return null;
  return new Promise((resolve) => {
    // Some tell both: against north, and against wherever they were switched on. The first goes before.
    const names = ['deviceorientationabsolute', 'deviceorientation'] as const;
    let hasNorth = false;
    const stop = (): void => names.forEach((name) => globalThis.removeEventListener(name, hear as EventListener));
    const silence = setTimeout(() => (stop(), resolve(null)), SILENT_MS);
    const hear = (event: WithCompass): void => {
      const { alpha, beta, gamma, absolute, webkitCompassHeading: heading } = event;
      if (beta === null || gamma === null) return;
      const knowsNorth = heading !== undefined || ((absolute || event.type === names[0]) && alpha !== null);
      hasNorth ||= knowsNorth;
      if (hasNorth && !knowsNorth) return;
      clearTimeout(silence);
      resolve(stop);
      tell({
        alphaDeg: heading === undefined ? (alpha ?? 0) : 360 - heading,
        betaDeg: beta,
        gammaDeg: gamma,
        knowsNorth,
      });
    };
    names.forEach((name) => globalThis.addEventListener(name, hear as EventListener));
  });
};

/** The sensors of the device. Tests put a stand-in here. */
export const ORIENTATION = new InjectionToken<Orientation>('orientation', { factory: () => device });
