import type { LaundryGroup, Missing, ToBuy } from '@esmero/core';
import type { Movement, MovementKind, Place, StockItem } from '@esmero/model';
import { worded } from './english';
import { type Units, fixed, minutes } from './units';
import { contentName } from './words';

const placeName: Readonly<Record<Place, string>> = {
  outside: 'outside',
  shelf: 'in stock',
  reserved: 'set aside',
  dirty: 'to be washed',
  soaking: 'soaking',
  drying: 'drying',
  retired: 'retired',
};

const movementName: Readonly<Record<MovementKind, string>> = {
  bought: 'Bought',
  counted: 'Counted',
  reserved: 'Set aside',
  released: 'Put back',
  used: 'Used',
  soaked: 'Put to soak',
  washed: 'Washed',
  dried: 'Dry and folded',
  retired: 'Retired',
  'handed-down': 'Handed down to wheels',
  kept: 'Left in its vessel',
  'poured-away': 'Poured away',
  charged: 'Charged',
  drained: 'Run down',
};

export const laundryName: Readonly<Record<LaundryGroup, string>> = {
  paint: 'Paint towels',
  glass: 'Glass towels',
  wheels: 'Wheel towels',
};

/** What has to be seen to when towels are washed. */
export const laundryCautions = worded([
  'Wheel towels never with the others: grit and brake dust go from fibre to fibre.',
  'No fabric softener, which seals the fibre; no hot dryer, which melts it.',
  'Cloths with solvent on them do not go in the machine: dry them spread out in the open, then into a lidded tin.',
] as const);

/** So much of an item in its own unit. */
export function amountText(item: StockItem, amount: number, u: Units): string {
  if (item.startsWith('towel/')) return fixed(amount);
  return item.startsWith('gear/') ? minutes(amount) : u.volume(amount);
}

/** The name that an item goes by. */
export type NameOf = (item: StockItem) => string;

/** A mix is called by what it is and where it stands. */
export function mixName(item: StockItem, vesselName: (id: string) => string): string {
  const [, vessel = '', content = ''] = item.split('/');
  return `${contentName[content as keyof typeof contentName] ?? content} in ${vesselName(vessel)}`;
}

/** "Used: Wash towels 3, Rinseless concentrate 45 mL". */
export function movementText({ kind, entries, note }: Movement, nameOf: NameOf, u: Units): string {
  const most = new Map<StockItem, number>();
  for (const { item, amount } of entries) most.set(item, Math.max(most.get(item) ?? 0, Math.abs(amount)));
  const what = [...most].map(([item, amount]) => `${nameOf(item)} ${amountText(item, amount, u)}`);
  return `${movementName[kind]}${note ? ` (${note})` : ''}: ${what.join(', ')}`;
}

/** Why something could not be moved, and what to do. */
export const lackingText = (lacking: readonly Missing[], nameOf: NameOf, u: Units): string =>
  `Not moved: ${lacking.map(({ item, place, amount }) => `${nameOf(item)} is ${amountText(item, amount, u)} short ${placeName[place]}`).join('; ')}. Count it first.`;

const buyBecause: Readonly<Record<ToBuy['why'], string>> = worded({
  'runs-out': 'runs out within a fortnight at this pace',
  expired: 'what you have has expired',
  'worn-out': 'washed so often that they are past their best for paint',
});

export const buyText = ({ name, count, why }: ToBuy): string => `${count} × ${name}: ${buyBecause[why]}`;
