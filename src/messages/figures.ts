import type { Figure, Lap, StepKind, FigureUnit as Unit } from '@esmero/core';
import type { MixPurpose, TowelRole, ZoneId } from '@esmero/model';
import { defaultCurrency } from '@esmero/units';
import { type Units, fixed, indexText, minutes, money } from './units';
import { lapName } from './passes';
import { contentName, roleName, zoneName } from './words';

export const stepName: Readonly<Record<StepKind | 'idle', string>> = {
  setup: 'setting up',
  refill: 'filling the tank again',
  flush: 'pre-rinsing',
  pretreat: 'pre-treating spots',
  spray: 'wetting',
  walk: 'walking round the car',
  wait: 'waiting until it has worked or cooled',
  'rinse-before': 'rinsing the foam off',
  wipe: 'washing',
  'rinse-off': 'rinsing the wash off',
  finish: 'finishing and drying',
  dry: 'drying the whole body',
  glass: 'glass finish',
  protect: 'protecting and dressing',
  pack: 'packing',
  idle: 'one of two waits for the other',
};

/** Water that never stands in a vessel of the plan. */
const sourceName = {
  bay: 'Water of the wash bay',
  line: 'Water from tap or boiler',
  bottled: 'Water in thinned bottles',
} as const;

/** Parts of the time that a client is given. */
const slotName = {
  arriving: 'arriving',
  'walk-round': 'walk-round',
  work: 'work',
  'second-look': 'second look',
  handover: 'handover',
} as const;

/** The name of a part that a figure is made of. */
export function partName(code: string): string {
  const [family, rest = ''] = code.split(/\.(.*)/);
  switch (family) {
    case 'step':
      return stepName[rest as StepKind];
    case 'source':
      return sourceName[rest as keyof typeof sourceName];
    case 'content':
      return contentName[rest as MixPurpose];
    case 'role':
      return roleName[rest as TowelRole];
    case 'slot':
      return slotName[rest as keyof typeof slotName];
    case 'lap':
      return lapName[rest as Lap];
    case 'zone':
      return zoneName(rest as ZoneId);
    default:
      return code;
  }
}

/** A value in the figure's unit. */
export function figureText(value: number, unit: Unit, u: Units, currency = defaultCurrency): string {
  switch (unit) {
    case 'min':
      return minutes(value);
    case 's':
      return `${fixed(value)} s`;
    case 'L':
      return u.water(value);
    case 'mL':
      return u.volume(value);
    case 'index':
      return indexText(value);
    case 'towels':
      return fixed(value);
    case 'minor':
      return money(value, currency);
    case 'um':
      return `${fixed(value)} µm`;
  }
}

export const figureValue = ({ value, unit }: Figure, u: Units, currency?: string): string =>
  figureText(value, unit, u, currency);
