export { lapOf, laps, wheelsGoFirst } from './lap';
export type { Lap } from './lap';
export { passesOf } from './group';
export { dwells, handS, rinsedAtTurn } from './pass';
export type { Pass } from './pass';
export { piecesOf } from './piece';
export type { Chosen, Piece } from './piece';
export { Round } from './round';
