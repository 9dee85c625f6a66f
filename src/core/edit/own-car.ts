import { defaultAssumptions } from '../assumptions';
import type { Body, Colour, Job, LibraryEntry, Shelter } from '../model';
import { defaultDimensions } from '../vehicle';
import { newItem, newJob } from './create';

/** Where a car is washed, as somebody says it who has never filled in a site. */
export const standings = ['street', 'drive', 'deck', 'garage'] as const;
export type Standing = (typeof standings)[number];

/** Four answers from which a first plan is made. */
export interface OwnCar {
  readonly body: Body;
  readonly colour: Colour;
  readonly standing: Standing;
  /** Since the last wash. */
  readonly days: number;
}

interface Place {
  readonly shelter: Shelter;
  readonly shade: boolean;
  readonly indoors: boolean;
  readonly mayRunOff: boolean;
}

const places: Readonly<Record<Standing, Place>> = {
  street: { shelter: 'street', shade: false, indoors: false, mayRunOff: false },
  drive: { shelter: 'street', shade: false, indoors: false, mayRunOff: true },
  deck: { shelter: 'deck', shade: true, indoors: false, mayRunOff: false },
  garage: { shelter: 'garage', shade: true, indoors: true, mayRunOff: false },
};

/** A job for one's own car with what is in the library; its soil is the forecast of those days on dry roads in town. */
export function ownCarJob(
  id: string,
  date: string,
  library: readonly LibraryEntry[],
  { body, colour, standing, days }: OwnCar,
): Job {
  const { shelter, shade, indoors, mayRunOff } = places[standing];
  return {
    ...newJob(id, date, library),
    name: 'My own car',
    vehicle: { ...newItem.vehicle(`${id}.car`), name: 'My own car', body, colour, dimensions: defaultDimensions(body) },
    site: {
      ...newItem.site(`${id}.site`),
      name: 'Where it stands',
      shade,
      indoors,
      runoff: mayRunOff ? 'allowed' : 'forbidden',
    },
    since: days > 0 ? [{ days, km: days * defaultAssumptions.kmADay, road: 'dry', surroundings: 'town', shelter }] : [],
  };
}
