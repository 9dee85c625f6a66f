export { everything, hasWords, logOf, runStates, searchLog, wordsOf } from './log';
export type { LogEntry, LogQuery, RunState } from './log';
export { historyOf } from './history';
export type { Visit } from './history';
