import type { ZoneId } from '../model';
import type { Plan } from '../planning';

/** From when to when a section of a zone is wet and workable, and when it is really done. */
export interface Window {
  readonly zoneId: ZoneId;
  readonly section: number;
  readonly worker: number;
  readonly fromS: number;
  readonly untilS: number;
  /** The wipe begins; where that lays a new film, the spray. */
  readonly beganS: number;
  /** The finish is done, or the wipe begun where that lays a new film. */
  readonly doneS: number;
}

/** The windows of all sprayed sections that dry within the hour, in the order of spraying. */
export function windowsOf({ timeline: { steps }, zones }: Plan): readonly Window[] {
  const options = new Map(zones.map(({ zone, option }) => [zone.id, option]));
  return steps.flatMap(({ kind, zoneId, section, worker, startS }): Window[] => {
    const option = zoneId && kind === 'spray' ? options.get(zoneId) : null;
    if (!zoneId || !option || option.drying.windowS === Infinity) return [];
    const own = steps.filter((step) => step.zoneId === zoneId && step.section === section && step.startS >= startS);
    const wipe = own.find((step) => step.kind === 'wipe');
    const last = own.filter((step) => step.kind === 'wipe' || step.kind === 'finish').at(-1);
    const doneS = (option.drying.layered ? wipe?.startS : last?.endS) ?? startS;
    const beganS = option.drying.layered ? startS : (wipe?.startS ?? startS);
    return [{ zoneId, section, worker, fromS: startS, untilS: startS + option.drying.windowS, beganS, doneS }];
  });
}
