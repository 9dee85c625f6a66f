export * from './units';
export * from './words';
export * from './reasons';
export * from './figures';
export * from './faults';
export * from './what-if';
export { mixSentences, planSheet, stepText, towelName } from './sheet';
