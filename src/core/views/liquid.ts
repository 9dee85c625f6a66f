import type { Plan } from '../planning';
import type { Moisture } from '../towel';

/** Where all that stays of a pre-rinse and all that is sprayed and wiped on goes, and what becomes of rinse water. */
export interface Liquid extends Moisture {
  /** What is laid runs off, stays on the panel, or dries off it before hands come. */
  readonly flush: { readonly laidMl: number; readonly runoffMl: number; readonly staysMl: number };
}

const sum = (values: readonly number[]): number => values.reduce((total, one) => total + one, 0);

/** The liquid of a whole plan, mL; spots and a dedicated glass finish are wiped where they are laid. */
export function liquidOf({ zones }: Plan): Liquid {
  const options = zones.flatMap(({ option }) => (option ? [option] : []));
  const all = (of: keyof Moisture): number => sum(options.map(({ moisture }) => moisture[of]));
  const flushed = options.map(
    ({ laidMl: { water, supply, line, bay }, rinsedMl }) => water + supply + line + bay - rinsedMl,
  );
  return {
    laidMl: all('laidMl'),
    runoffMl: all('runoffMl'),
    washMl: all('washMl'),
    evaporatedMl: all('evaporatedMl'),
    finishMl: all('finishMl'),
    flush: {
      laidMl: sum(flushed),
      runoffMl: sum(options.map(({ runoffMl, moisture }) => runoffMl - moisture.runoffMl)),
      staysMl: sum(options.map(({ standsMl }) => standsMl)),
    },
  };
}
