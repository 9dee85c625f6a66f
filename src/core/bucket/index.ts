export { settlingMs } from './settling';
export { carriedBack, commonHand, grainsIn, simulateBuckets } from './simulate';
export type { BucketHabit, BucketName, BucketRun, Dip, Washed } from './simulate';
