import type { Assumptions } from '../assumptions';
import type { Pass, Round } from '../passes';
import { alone } from './way';
import { WORTH_S, weight } from './wet-ahead';

/** Rows that are looked at closely: longer ones fill their dwells in any order. */
const FEW = 8;

/** Within a lap every place is stood at once. */
function isRound(row: readonly Pass[]): boolean {
  const stands = row.filter((pass, i) => pass.lap !== row[i - 1]?.lap || pass.place !== row[i - 1]?.place);
  return new Set(stands.map(({ lap, place }) => `${lap}/${place}`)).size === stands.length;
}

const swapped = (row: readonly Pass[], i: number, j: number): readonly Pass[] =>
  row.map((pass, k) => (k === i ? row[j]! : k === j ? row[i]! : pass));

/** Every lap the other way. */
const reversed = (row: readonly Pass[]): readonly Pass[] =>
  [...new Set(row.map(({ lap }) => lap))].flatMap((lap) => row.filter((pass) => pass.lap === lap).reverse());

/** A short row in the order in which it is done soonest: passes of one lap change places as long as that helps, either way round. */
export function soonest(row: readonly Pass[], round: Round, a: Assumptions): readonly Pass[] {
  if (row.length < 2 || row.length > FEW) return row;
  const secondsOf = (passes: readonly Pass[]): number => weight(alone(passes, round, a));
  const improved = (first: readonly Pass[]) => {
    let best = { row: first, seconds: secondsOf(first) };
    for (let [i, j] = [0, 1]; i < row.length - 1; [i, j] = j < row.length - 1 ? [i, j + 1] : [i + 1, i + 2]) {
      const other = swapped(best.row, i, j);
      if (other[i]!.lap !== other[j]!.lap || !isRound(other)) continue;
      const seconds = secondsOf(other);
      if (seconds < best.seconds - WORTH_S) [best, i, j] = [{ row: other, seconds }, 0, 0];
    }
    return best;
  };
  const [one, other] = [improved(row), improved(reversed(row))];
  return other.seconds < one.seconds - WORTH_S ? other.row : one.row;
}
