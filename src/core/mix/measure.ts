import type { MeasuringDevice } from '../model';
import { type Rational, toNumber } from '../units';

/** A product volume as the device at hand delivers it. */
export interface Measured {
  /** Whole steps of the device, at least one. */
  readonly steps: number;
  readonly stepMl: number;
  readonly deliveredMl: number;
  /** Delivered over asked for, less 1: +0.02 is 2 % too much. */
  readonly error: number;
  /** Times the device is filled. */
  readonly fillings: number;
}

/**
 * Rounds to the nearest whole step. Never to nothing: a mix without product is water.
 */
export function measure(productMl: Rational, device: MeasuringDevice): Measured {
  const wanted = toNumber(productMl);
  const steps = Math.max(1, Math.round(wanted / device.stepMl));
  const deliveredMl = steps * device.stepMl;
  return {
    steps,
    stepMl: device.stepMl,
    deliveredMl,
    error: deliveredMl / wanted - 1,
    fillings: Math.ceil(deliveredMl / Math.max(device.capacityMl, device.stepMl)),
  };
}
