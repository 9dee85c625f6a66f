export { readJob, writeJob, jobFormat } from './job-file';
export { readCollection, writeCollection, collectionFormat } from './collection-file';
export { faultsInItem } from './library-item';
export { mixesCsv, stepsCsv, towelsCsv } from './tables';
export type { Expected, Fault, Read, Unreadable } from './fault';
export { calc, calcTopics } from './calc';
export type { CalcTopic } from './calc';
export { readWeather, writeWeather, weatherFormat, weatherQuestion } from './weather-file';
export type { WeatherQuestion } from './weather-file';
