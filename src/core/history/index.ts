export { isUseful, learn, ratiosOf, withLearned, withoutLearned } from './learn';
export type { Learned, Lesson } from './learn';
export { everything, hasWords, logOf, runStates, searchLog, wordsOf } from './log';
export type { LogEntry, LogQuery, RunState } from './log';
export { isSameClient } from './whose';
export type { Whose } from './whose';
export { waterOfYear } from './year';
export type { WaterMonth } from './year';
export { historyOf } from './visits';
