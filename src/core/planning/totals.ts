import type { AssumptionKey } from '../assumptions';
import { type Bottled, bottled } from '../model';
import { type Figure, type FigurePart, sumFigure } from '../reasons';
import type { PlanningContext } from '../rules';
import { stepKinds } from '../schedule';
import { minorUnits } from '../units';
import type { Totals } from './plan';
import { type Realised, towelsOpened } from './realise';

const timeKeys: readonly AssumptionKey[] = [
  'rateTriggerSpray',
  'ratePumpSpray',
  'rinsePace',
  'flowPumpLarge',
  'rateWipeBase',
  'rateWipePerLoad',
  'rateFinish',
  'rateWash',
  'rateDry',
  'walking',
  'wheelLight',
  'wheelHeavy',
  'shutSeconds',
];
const litreKeys: readonly AssumptionKey[] = [
  'wasteFactor',
  'flushFilm',
  'rinseLow',
  'rinseThorough',
  'rinseBucket',
  'batchBucket',
];
const productKeys: readonly AssumptionKey[] = [
  'waterlessFilmBase',
  'waterlessFilmPerLoad',
  'presoakFilm',
  'wrungFilm',
  'wasteFactor',
];
const towelKeys: readonly AssumptionKey[] = [
  'sideDirt',
  'sideAreaLight',
  'sideAreaMiddle',
  'sideAreaHeavy',
  'towelAbsorbs',
  'finishShare',
  'dryingShare',
];
const indexKeys: readonly AssumptionKey[] = ['sideLoading', 'lubricityGrain', 'lubricityMost'];

function minutes({ timeline }: Realised, workers: number): Figure {
  const spent = (kind: string): number =>
    timeline.steps
      .filter((step) => step.kind === kind)
      .reduce((sum, step) => sum + (step.endS - step.startS) / 60 / workers, 0);
  const parts = stepKinds.map((kind): FigurePart => ({ code: `step.${kind}`, value: spent(kind) }));
  const elapsed = timeline.elapsedS / 60;
  const worked = parts.reduce((sum, { value }) => sum + value, 0);
  // With two people one may be done before the other: the difference is waiting, too.
  const idle = Math.max(0, elapsed - worked);
  const all = [...parts, { code: 'step.idle', value: idle < 1e-9 ? 0 : idle }];
  return { ...sumFigure('min', all, timeKeys), value: elapsed };
}

const litres = ({ mix, lineL, bayL, bottledL }: Realised): Figure =>
  sumFigure(
    'L',
    [
      ...mix.mixes.map(({ content, fills }) => ({
        code: `content.${content}`,
        value: fills.reduce((sum, fill) => sum + fill.waterMl, 0) / 1000,
      })),
      { code: 'source.bottled', value: bottledL },
      { code: 'source.line', value: lineL },
      { code: 'source.bay', value: bayL },
    ],
    litreKeys,
  );

const product = ({ mix, bottledMl }: Realised, { recipes }: PlanningContext): Figure =>
  sumFigure(
    'mL',
    [
      ...mix.mixes.map(({ content, productMl }) => ({ code: `content.${content}`, value: productMl })),
      ...bottled.map((purpose) => ({
        code: `content.${purpose}`,
        value: bottledMl[purpose] * (recipes[purpose]?.share ?? 1),
      })),
    ],
    productKeys,
  );

const towels = ({ towels: used }: Realised): Figure =>
  sumFigure(
    'towels',
    (['wash', 'finish', 'drying', 'glass', 'wheels'] as const).map((role) => ({
      code: `role.${role}`,
      value: towelsOpened(used, role),
    })),
    towelKeys,
  );

function index({ chosen }: Realised): Figure {
  const area = chosen.reduce((sum, { zone }) => sum + zone.areaM2, 0);
  const byLap = new Map<string, number>();
  for (const { zone, option, lap } of chosen) {
    const value = area === 0 ? 0 : (zone.areaM2 * option.marring.index) / area;
    byLap.set(`lap.${lap}`, (byLap.get(`lap.${lap}`) ?? 0) + value);
  }
  const parts = [...byLap].map(([code, value]) => ({ code, value }));
  return { ...sumFigure('index', parts, indexKeys), origin: 'judged' };
}

const runoff = ({ chosen }: Realised): Figure =>
  sumFigure(
    'L',
    chosen.map(({ zone, option }) => ({ code: `zone.${zone.id}`, value: option.runoffMl / 1000 })),
    [
      'flushFilm',
      'waterHeldVertical',
      'waterHeldLevel',
      'waterHalfS',
      'holdUpVertical',
      'holdUpHorizontal',
      'dripAllowance',
    ],
  );

function cost({ mix, bottledMl }: Realised, { recipes }: PlanningContext): Figure | null {
  const noPrice = (purpose: Bottled): boolean =>
    bottledMl[purpose] > 0 && recipes[purpose]?.product.priceMinor === null;
  if (mix.costMinor === null || bottled.some(noPrice)) return null;
  const parts = [
    ...mix.mixes.map((one) => ({ code: `content.${one.content}`, value: one.costMinor ?? 0 })),
    ...bottled.map((purpose) => ({
      code: `content.${purpose}`,
      value: bottledMl[purpose] * (recipes[purpose]?.minorPerMl ?? 0),
    })),
  ];
  const sum = sumFigure('minor', parts, []);
  return { ...sum, value: minorUnits(sum.value) };
}

/** The figures of the strip, each with its parts. */
export const totalsOf = (realised: Realised, context: PlanningContext): Totals => ({
  minutes: minutes(realised, context.job.site.workers),
  litres: litres(realised),
  productMl: product(realised, context),
  towels: towels(realised),
  index: index(realised),
  runoffL: runoff(realised),
  costMinor: cost(realised, context),
});
