export { unitSystems } from './unit-systems';
export type { UnitSystem } from './unit-systems';
export { en, englishes, speak } from './english';
export type { English } from './english';
export * from './capital';
export * from './units';
export * from './words';
export * from './reasons';
export * from './figures';
export { lapName, notChangedText, passChangeText, passHeading, passZones } from './passes';
export * from './faults';
export { answerLine, reasonText } from './answer';
export * from './what-if';
export * from './soil';
export * from './refusal';
export * from './habits';
export {
  fillSentence,
  howText,
  jobTitle,
  mittSentence,
  mixSentences,
  orderingText,
  planSheet,
  ranges,
  sidesSentence,
  stepText,
  towelName,
  wayText,
  wetText,
  windowText,
} from './sheet';
export * from './buckets';
export * from './water';
export * from './care';
export * from './cues';
export * from './after';
export { careAfterwards, claimText, doneSentences, carPart, lastsText, markText, suggestionText } from './handover';
export { assumedText } from './assumed';
export {
  clocksText,
  handName,
  moveText,
  replannedText,
  rolesFor,
  stepsFor,
  taskHeading,
  taskText,
  turnText,
  weatherName,
} from './run';
export { againstText, learnedSentence, lessonName, runStateName, waterText } from './learned';
export * from './scope';
export * from './visit';
export * from './day';
export * from './day-plan';
export * from './lot';
export * from './lot-plan';
export * from './price';
export * from './clients';
export * from './import-table';
export * from './statement';
export * from './crew';
export * from './eye';
export * from './practice';
export * from './sensors';
export * from './stock';
export * from './transfer';
export * from './notices';
export * from './screens';
