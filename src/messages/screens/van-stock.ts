import { worded } from '../english';

/** The van stock. */
export const stockText = worded({
  soak: (loads: number, water: string, product: string): string =>
    `${loads === 1 ? 'One load' : `${loads} loads`}: ${water} warm water with ${product} of rinseless concentrate.`,
  tank: (name: string, text: string, share: string): string => `${name}: ${text}, ${share}`,
  newPlace: (number: number): string => `Place ${number}`,
  nothingToBuy: 'Stock lasts at least a fortnight.',
  nothingMixed: 'No mix is left in a vessel.',
  noBatteries: 'Nothing runs on batteries.',
  noMoves: 'Nothing yet. What is counted, bought or used is listed here, and stays.',
});
