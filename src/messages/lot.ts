import type { LotPlan, LotShortage } from '@esmero/core';
import { type Lot, towelRoles } from '@esmero/model';
import { vanStockText } from './day';
import { type Units, clockText, fixed } from './units';

const productOf = ({ classes }: Lot, id: string): string =>
  classes.flatMap(({ job }) => job.products).find((one) => one.id === id)?.name ?? id;

function amountOf({ stock }: LotShortage, amount: number, lot: Lot, u: Units): string {
  switch (stock.kind) {
    case 'water':
      return vanStockText('water', amount, u);
    case 'towels':
      return vanStockText(stock.role, amount, u);
    case 'product':
      return `${u.volume(amount)} of ${productOf(lot, stock.productId)}`;
  }
}

const orElse: Readonly<Record<LotShortage['stock']['kind'], string>> = {
  water: ', or fill up on the way',
  towels: ', or wash a load on the way',
  product: '',
};

/** "Short at car 31, 12:10: the lot takes 140 wash towels, and 60 are brought." */
export const lotShortageText = (shortage: LotShortage, lot: Lot, u: Units): string =>
  `Short at car ${shortage.car + 1}, ${clockText(shortage.atMin)}: the lot takes ${amountOf(shortage, shortage.needs, lot, u)}, and there are ${amountOf(shortage, shortage.has, lot, u)}. Bring ${amountOf(shortage, shortage.needs - shortage.has, lot, u)} more${shortage.stock.kind === 'towels' && lot.laundry ? '' : orElse[shortage.stock.kind]}.`;

/** A lot on paper: how long, how much, and what is short first. */
export function lotSheet(lot: Lot, plan: LotPlan, u: Units): string {
  const towels = towelRoles
    .filter((role) => plan.towels[role] > 0)
    .map((role) => vanStockText(role, plan.towels[role], u));
  return [
    `# ${lot.name}`,
    '',
    `${plan.cars.length} cars, ${lot.people === 1 ? 'one person' : `${lot.people} people`}: done by ${clockText(plan.endMin)}, ${fixed(plan.minutesACar, 1)} min a car, ${fixed(plan.carsAnHour, 1)} cars an hour.`,
    `${vanStockText('water', plan.litres, u)}; ${[...plan.productMl].map(([id, ml]) => `${u.volume(ml)} of ${productOf(lot, id)}`).join('; ')}; ${towels.join(', ')}.`,
    ...plan.cannot.map((of) => `Not here and now: ${lot.classes[of]!.name}.`),
    ...(plan.shortages.length > 0 ? ['', ...plan.shortages.map((one) => `- ${lotShortageText(one, lot, u)}`)] : []),
    '',
  ].join('\n');
}
