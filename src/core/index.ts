/** The only door into the core: what others use, no more. */
export {
  assumptionGroups,
  assumptionKeys,
  assumptionTable,
  defaultAssumptions,
  resolveAssumptions,
} from './assumptions';
export type { AssumptionGroup, AssumptionKey, AssumptionOverrides } from './assumptions';
export { cautions } from './reasons';
export type { Budget, Caution, Figure, FigureUnit, Gate, Obstacle, CareLeft, SpotLeft, Verdict } from './reasons';
export { defaultDimensions, detailsOf, hiddenInScope, mirrored, zonesIn, zonesOf } from './vehicle';
export type { Detail } from './vehicle';
export { forecastOn, grainOf, hardShareOf, levelOfLoad, loadOfLevel, soilOn } from './soil';
export type { Load, SoilState } from './soil';
export { alongDevice, clearSkyWm2, shadedHours, skylineAt, slopeUnder, sunAt, sunAtSite, throughCamera } from './sun';
export type { Attitude, Bearing } from './sun';
export { airOn, freezeTimeS, openTimeS, skinCapacity, skins, startC, steadyPanelC } from './surface';
export type { Skin, Wetting } from './surface';
export {
  apart,
  costPerCar,
  countFor,
  strengthPoured,
  exactText,
  fillModes,
  fillVolumes,
  fillWith,
  mixFor,
  notations,
  readDilution,
} from './mix';
export type { Advice, AdviceReason, Content, Dilution, Dosed, Fill, FillMode, Mix } from './mix';
export { groupOf, laundryGroups, soakFor, towelLedger, weightKg } from './towel';
export type { LaundryGroup, SideUse, UsedMitt, UsedSide, UsedTowel } from './towel';
export { settlingMs } from './bucket';
export type { BucketName, Dip } from './bucket';
export { choicesOf, contactOf, hasJet, indexOf, loosenedBy } from './rules';
export type { BugPlan, CarePlan, ContactFamily, Guarding, IndexQuestion, Kit, Option, SpotPlan } from './rules';
export { laps } from './passes';
export type { Lap, NotChanged } from './passes';
export { criticalPath } from './schedule';
export type { PassAct, PassPart, PlannedPass, Step, StepKind } from './schedule';
export { panelAt, planJob, zoneTreatments } from './planning';
export type {
  Alternative,
  BlockedZone,
  Bottle,
  LaterTask,
  Outcome,
  Plan,
  Question,
  Shortage,
  Totals,
  ZonePlan,
} from './planning';
export {
  afterwards,
  answerReasons,
  claimsOf,
  cues,
  cuesFor,
  troubles,
  handMovesIn,
  liquidOf,
  notDone,
  passChangesOf,
  protectionAfter,
  puttingOn,
  runRows,
  siteSheet,
  stageStates,
  towelFillAt,
  waterByStage,
  windowsOf,
} from './views';
export type {
  Afterwards,
  AnswerReason,
  Claim,
  Cue,
  Trouble,
  Gain,
  HandMove,
  LaundryLoad,
  LeftOver,
  Liquid,
  NotDone,
  RinseWater,
  RunRow,
  SiteSheet,
  StageName,
  StageState,
  StageWater,
  WaterStage,
  Window,
} from './views';
export {
  addLeg,
  addPicture,
  atHour,
  changePass,
  defaultChoices,
  dropMark,
  dropPassChange,
  dropPicture,
  dropRun,
  keepProof,
  endRun,
  fixTreatment,
  copyJob,
  ownCarJob,
  standings,
  habitsIn,
  lift,
  mayBecome,
  measure,
  mirrorSoil,
  setBugs,
  newItem,
  newJob,
  onDate,
  careFor,
  sellAs,
  toggleAround,
  toggleScope,
  noteEvent,
  noteEvents,
  noteUse,
  paint,
  putMark,
  putPunch,
  setAside,
  setAssumption,
  setChoices,
  setLeg,
  setReading,
  setSpots,
  sign,
  arrive,
  startRun,
  takeBackEvent,
  unsee,
  withChange,
  withWeather,
} from './edit';
export type { OwnCar, Standing, Brush, Change } from './edit';
export {
  DayPlanner,
  START,
  dayMends,
  dayOf,
  fullVan,
  kmBetween,
  lotOf,
  lotPace,
  planLot,
  rowOfRestock,
  rowOfStop,
  stockKinds,
  usualDay,
  usualLot,
  travelTable,
  usualVan,
  vanNow,
  withMore,
} from './tour';
export type {
  DayBrief,
  DayChances,
  DayChange,
  DayLeg,
  DayMend,
  DayPlan,
  FirstShortage,
  InStock,
  LegBrief,
  LotPace,
  LotPlan,
  LotShortage,
  MendBrief,
  Since,
  StockKind,
} from './tour';
export { followed, isSameShare, joined, putBack, shareOf, takenFrom, withShared } from './crew';
export type { SharedRun } from './crew';
export { carsOf, doneOn, dueState, isInTime, newVisit, visitDay } from './clients';
export type { CarVisits, Due, DueCar, DueState } from './clients';
export { billOf, invoiceOf, numbersOf, priceOf, quoteOf, seasonMethods, takesOf, usualBusiness } from './price';
export type { CarsPrice, QuoteAnswer, QuoteAsked, SeasonAsked, SeasonMethod, SeasonPlan, VisitAccount } from './price';
export {
  marksIn,
  onTowelByLevel,
  onTowelByScale,
  evenMark,
  plainProof,
  plainScene,
  renderProof,
  renderTowel,
  simulatedScene,
  wipedKinds,
} from './eye';
export type {
  Counted,
  Gauge,
  PictureFault,
  ProofAsked,
  ProofFault,
  Raster,
  SideMeasured,
  SideVerdict,
  WipeMeasured,
  WipedKind,
} from './eye';
export {
  dealTry,
  deals,
  deckStanding,
  decisionCards,
  decisionTry,
  decisions,
  eyeCurve,
  mixingCards,
  mixingTask,
  mixingTry,
  nextCard,
  panelCards,
  panelOf,
  panelTry,
  pouringOrders,
  practiceVessel,
  renderPanel,
  sessionMs,
  strengthError,
  triesOf,
  usesEye,
  withEye,
  withoutEye,
} from './practice';
export type {
  Deal,
  Decision,
  DecisionAsked,
  EyeCurve,
  InHand,
  MixingTask,
  MixingTwist,
  PanelAngle,
  PanelCard,
  PanelLight,
  PanelScene,
  PouringOrder,
} from './practice';
export { studies } from './questions';
export type { About, OfPicture, DayAnswer, DayAsked, LotBrief, Studies, StudyKind } from './questions';
export { elapsedMs, setUpS, visitOf, planRun, runStatusOf, tasksOf, ticksOf, usageAccount, useOf } from './execution';
export type { Clocks, Hand, RunStatus, Task, UsageAccount, Visit, VisitStage } from './execution';
export {
  amountAt,
  balancesOf,
  bookingOut,
  counting,
  draft,
  expiry,
  isBooked,
  laundering,
  laundrySteps,
  lotsOf,
  missingFor,
  moved,
  movementsByItem,
  opening,
  outlookOf,
  releasing,
  reserving,
  retiring,
  settled,
  shoppingList,
  stockItem,
  takingBack,
  washesOf,
} from './inventory';
export type { Draft, LaundryStep, Missing, ToBuy } from './inventory';
export {
  everything,
  hasWords,
  historyOf,
  isUseful,
  learn,
  logOf,
  ratiosOf,
  runStates,
  searchLog,
  waterOfYear,
  withLearned,
  withoutLearned,
  wordsOf,
} from './history';
export type { Learned, Lesson, LogEntry, LogQuery, RunState, WaterMonth, Whose } from './history';
export {
  approachEffectsOf,
  bucketSpread,
  compareBuckets,
  crossingsOf,
  finish,
  hoursOfDay,
  lastsOf,
  nextVisitOf,
  packingListOf,
  runBuckets,
  takeWeights,
  tradeOffsOf,
  usualLeg,
  helpOf,
  whatIf,
  workOrdersOf,
} from './studies';
export type {
  ApproachEffect,
  BucketSpread,
  Crossing,
  HoursOfDay,
  HoursAdvice,
  Lasts,
  LowWater,
  NextVisit,
  Ordering,
  PanelHour,
  RunOrdering,
  Study,
  SystemRun,
  TradeOff,
  Until,
  WhatIf,
} from './studies';
