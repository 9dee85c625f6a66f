import type { Plan } from '../planning';
import type { Moisture } from '../towel';

/** Where all that is sprayed and wiped on goes, and what becomes of flush water. */
export interface Liquid extends Moisture {
  readonly flush: { readonly laidMl: number; readonly runoffMl: number };
}

const sum = (values: readonly number[]): number => values.reduce((total, one) => total + one, 0);

/** The liquid of a whole plan, mL; spots and a dedicated glass finish are wiped where they are laid. */
export function liquidOf({ zones }: Plan): Liquid {
  const options = zones.flatMap(({ option }) => (option ? [option] : []));
  const all = (of: keyof Moisture): number => sum(options.map(({ moisture }) => moisture[of]));
  const flushed = options.map(({ laidMl: { water, supply, line, bay } }) => water + supply + line + bay);
  return {
    laidMl: all('laidMl'),
    runoffMl: all('runoffMl'),
    washMl: all('washMl'),
    evaporatedMl: all('evaporatedMl'),
    finishMl: all('finishMl'),
    flush: { laidMl: sum(flushed), runoffMl: sum(options.map(({ runoffMl, moisture }) => runoffMl - moisture.runoffMl)) },
  };
}
