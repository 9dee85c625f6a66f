import type { RinseWater, StageWater, WaterStage } from '@esmero/core';
import { type Units, minutes } from './units';

const stageName: Readonly<Record<WaterStage, string>> = {
  'pre-rinse': 'Pre-rinse',
  foam: 'Foam',
  'rinse-foam': 'Rinsing the foam off',
  wash: 'Shampoo mitt',
  'rinse-off': 'Last rinse',
};

/** "Last rinse: 11.2 L, 10.1 L runs off". */
const stageWaterText = ({ stage, litres, runoffL }: StageWater, u: Units): string =>
  `${stageName[stage]}: ${u.water(litres)}${runoffL > 0.005 ? `, ${u.water(runoffL)} runs off` : ''}`;

/** Litres by stage, fillings, and what the batteries give. */
export const rinseWaterLines = (
  { stages, fillings, batteryMin, batteriesLastMin }: RinseWater,
  u: Units,
): readonly string[] => [
  ...stages.map((one) => stageWaterText(one, u)),
  ...fillings.map(({ vessel, fillings: times }) => `${vessel}: filled ${times} times`),
  ...(batteryMin > 0
    ? [
        batteriesLastMin !== null
          ? `The washer runs ${minutes(batteryMin)} of the ${minutes(batteriesLastMin)} that its batteries last`
          : `The washer runs ${minutes(batteryMin)}`,
      ]
    : []),
];
