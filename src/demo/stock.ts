import { moved, stockItem } from '@esmero/core';
import type { Movement, Place, StockItem } from '@esmero/model';
import { gear, products, towels } from './library';

const at = (day: string, hour = 8): number => Date.parse(`${day}T00:00:00Z`) + hour * 3_600_000;

const movement = (
  id: string,
  when: number,
  kind: Movement['kind'],
  entries: Movement['entries'],
  more: Partial<Movement> = {},
): Movement => ({
  id,
  seq: 0,
  at: when,
  kind,
  job: null,
  note: '',
  expiresOn: null,
  ...more,
  entries,
});

const product = ({ id }: { readonly id: string }): StockItem => stockItem('product', id);
const towel = ({ id }: { readonly id: string }): StockItem => stockItem('towel', id);

/** Bottles bought in spring, with the days on their labels. */
const bought = [
  movement('m-1', at('2031-05-05'), 'bought', moved(product(products.blueLabel), 'outside', 'shelf', 1000), {
    expiresOn: '2033-05-01',
  }),
  movement('m-2', at('2031-05-05'), 'bought', moved(product(products.amberSpray), 'outside', 'shelf', 1500), {
    expiresOn: '2032-11-01',
  }),
  movement('m-3', at('2031-05-05'), 'bought', moved(product(products.clearGlass), 'outside', 'shelf', 500), {
    expiresOn: '2031-08-01',
  }),
  movement('m-4', at('2031-05-05'), 'bought', moved(product(products.tarLift), 'outside', 'shelf', 500)),
];

const counted = Object.values(towels).map((batch, i) =>
  movement(`m-${5 + i}`, at('2031-05-05', 9), 'counted', moved(towel(batch), 'outside', 'shelf', batch.clean)),
);

const charged = movement(
  'm-20',
  at('2031-05-05', 10),
  'charged',
  moved(stockItem('gear', gear.wand.id), 'outside', 'shelf', gear.wand.batteryMin ?? 0),
);

/** Three towels of a kind through a wash day. */
const washed = (id: string, day: string): readonly Movement[] =>
  (
    [
      ['used', 'shelf', 'dirty'],
      ['soaked', 'dirty', 'soaking'],
      ['washed', 'soaking', 'drying'],
      ['dried', 'drying', 'shelf'],
    ] as const satisfies readonly (readonly [Movement['kind'], Place, Place])[]
  ).map(([kind, from, to], i) =>
    movement(
      `${id}-${i}`,
      at(day, 10 + 3 * i),
      kind,
      [towels.wash, towels.finish].flatMap((one) => moved(towel(one), from, to, 3)),
    ),
  );

/** Weeks of work: what went out of the bottles. */
const used = [
  '2031-05-12',
  '2031-05-19',
  '2031-05-27',
  '2031-06-03',
  '2031-06-12',
  '2031-06-20',
  '2031-06-30',
  '2031-07-08',
].flatMap((day, i) => [
  movement(`m-u${i}`, at(day, 12), 'used', [
    ...moved(product(products.blueLabel), 'shelf', 'outside', 45),
    ...moved(product(products.amberSpray), 'shelf', 'outside', 165),
    ...moved(product(products.clearGlass), 'shelf', 'outside', 20),
  ]),
  ...washed(`m-w${i}`, day),
]);

/** What has moved in the van stock of the harbour town's van. */
export const movements: readonly Movement[] = [...bought, ...counted, charged, ...used]
  .sort((p, q) => p.at - q.at)
  .map((one, i) => ({ ...one, seq: i + 1 }));
