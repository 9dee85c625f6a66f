import type { Assumptions } from '../../assumptions';
import type { SoilKind } from '../../model';
import type { FlushRule } from './flush-rule';

/** What sticks stays. */
function airTakes(kind: SoilKind, a: Assumptions): number {
  switch (kind) {
    case 'dust':
    case 'pollen':
      return a.airTakesDust;
    case 'grit':
      return a.airTakesGrit;
    default:
      return 0;
  }
}

/** Compressed air along seams and gaps: what lies loose there is blown out dry, before anything is wetted. */
export const air: FlushRule = {
  is: 'air',
  kits: ['air-gun'],
  gear: 'air-gun',
  source: null,
  jet: false,
  amounts: ['usual'],
  filmUm: () => 0,
  most: (kind, a) => airTakes(kind, a),
  removes: (kind, _filmUm, a) => airTakes(kind, a),
  secondsPerM2: (_filmUm, { a }) => a.rateAir,
  liquidC: ({ carriedC }) => carriedC,
};
