export { settlingMs } from './settling';
export { Bucket, gramsOf } from './bucket';
export type { Dipping, Medium } from './bucket';
export { grainsOf } from './grains';
export type { Grain } from './grains';
export { carriedBack, commonHand, grainsIn, simulateBuckets } from './simulate';
export type { BucketHabit, BucketName, BucketRun, BucketState, Dip, GritLoad, Washed } from './simulate';
