export { dayFormat, readDay, writeDay } from './day-file';
export { lotFormat, readLot, writeLot } from './lot-file';
export { readJob, readKeptJob, writeJob, jobFormat } from './job-file';
export { readCollection, readingCollection, writeCollection, collectionFormat } from './collection-file';
export { readManifest, writeManifest, backupFormat } from './backup-file';
export type { Manifest } from './backup-file';
export { readCalendar, readingCalendar, writeCalendar } from './calendar';
export type { LeftOut } from './recurrence';
export type { CalendarDue, CalendarFound, CalendarRead, CalendarSpan, CalendarStop, MovedStop } from './calendar';
export { calendarHoldings } from './calendar-holdings';
export { crewLine } from './crew-line';
export type { CrewLine } from './crew-line';
export { crewJob, crewRun, readCrewMessage, readPeers, readSharedRun, writeSharedRun } from './crew-message';
export type { CrewMessage } from './crew-message';
export { FrameReader, framesOf } from './frames';
export { readContacts } from './contacts';
export type { ContactsRead } from './contacts';
export { routeGeoJson, routeGpx } from './route';
export type { RouteStop } from './route';
export { faultsInItem } from './library-item';
export { mixesCsv, stepsCsv, towelsCsv } from './tables';
export { readWays, writeWays } from './ways-file';
export type { NamedPlace, WaysRead } from './ways-file';
export type { Expected, Fault, Read, Unreadable } from './fault';
export { calc, calcTopics } from './calc';
export type { CalcTopic } from './calc';
export { rainFrom, readWeather, writeWeather, weatherFormat, weatherQuestion, withoutRain } from './weather-file';
export type { Forecast, WeatherQuestion } from './weather-file';
export { exampleShortJob, readShortJob, shortJobFormat } from './short-job';
export type { Assumed, FilledUp, JobTemplate } from './short-job';
export {
  billsCsv,
  clientsCsv,
  gatheringHoldings,
  guessMapping,
  holdingsOf,
  logCsv,
  productsCsv,
  readRows,
  readTable,
  readingRows,
  stockCsv,
  tableKinds,
  tables,
} from './table';
export type {
  Here,
  KnownVisit,
  Mapping,
  Outcome,
  RowRead,
  Table,
  TableField,
  TableHoldings,
  TableKind,
  TableRead,
} from './table';
export { decoded, encodings } from './text-file';
export type { Decoded, Encoding } from './text-file';
