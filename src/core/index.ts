/** The only door into the core: what others use, no more. */
export {
  M2_PER_FT2, ML_PER_US_FL_OZ, ML_PER_US_GAL, M_PER_INCH, celsius, celsiusToFahrenheit, dayAfter, dayAt, daysOf,
  defaultCurrency, degrees, fahrenheitToCelsius, fromMinor, isDay, metres, minorUnits, ml, moneyText, monthAfter, monthName,
  monthOf, toMinor, toNumber, weekdayOf,
} from './units';
export {
  bodies, bucketSystems, calmShade, colours, contacts, deviceKinds, finishes, flushes, folds, gearKinds, isTick,
  labelReadings, libraryKinds, markKinds, mixPurposes, movementKinds, origins, partsOf, pictureTimes, piles, places,
  passChangeKinds, replanEventKinds, roads, runActs, runoffRules, schools, shelters, soilKinds, soilLevels, somewhere, spotKinds,
  surfaces, surroundings, towelRoles, treatmentIds, usedIn, vehicleMethods, vesselKinds, views, weatherChanges,
  zoneIds,
} from './model';
export type { Day } from './units';
export type {
  Body, BucketSystem, CentrePart, Choices, CleanlinessClass, Collection, Colour, Consent, Contact, DayWeather,
  DeviceKind, DilutionLabel, Dimensions, Finish, FlankPart, Flush, Gear, GearKind, HabitSet, Habits, Job, JobBrief,
  LabelReading, Leg, LibraryEntry, LibraryItems, LibraryKind, Mark, MarkKind, MeasuringDevice, MixPurpose, Movement,
  MovementKind, Noted, Origin, PassChange, Photo, PictureTime, Pile, Place, Point, Product, ProductUse, PunchItem, ReplanEvent,
  Road, Run, RunAct, RunEvent, RunUse, RunoffRule, School, Shelter, Signature, Site, SoakedTowelSchool, SoilKind,
  SoilLevel, SoilMap, SpotKind, StockItem, Surface, Surroundings, TowelBatch, TowelRole, TreatmentId, Vehicle,
  VehicleMethod, Vessel, VesselKind, VesselMix, View, WeatherChange, WeatherHour, Zone, ZoneId, ZoneSoil,
} from './model';
export {
  assumptionGroups, assumptionKeys, assumptionTable, defaultAssumptions, resolveAssumptions,
} from './assumptions';
export type { AssumptionGroup, AssumptionKey, AssumptionOverrides } from './assumptions';
export { cautions } from './reasons';
export type { Budget, Caution, Figure, FigureUnit, Gate, Obstacle, SpotLeft, Verdict } from './reasons';
export { defaultDimensions, mirrored, zonesOf } from './vehicle';
export { forecastOn, levelOfLoad } from './soil';
export type { Load, SoilState } from './soil';
export { clearSkyWm2, sunAt } from './sun';
export { airOn, freezeTimeS, openTimeS, skinCapacity, skins, startC, steadyPanelC } from './surface';
export type { Skin, Wetting } from './surface';
export { apart, costPerCar, exactText, fillModes, fillVolumes, fillWith, mixFor, notations, readDilution } from './mix';
export type { Advice, AdviceReason, Content, Dilution, Dosed, Fill, FillMode, Mix } from './mix';
export { groupOf, laundryGroups, soakFor, towelLedger, weightKg } from './towel';
export type { LaundryGroup, SideUse, UsedMitt, UsedSide, UsedTowel } from './towel';
export { settlingMs } from './bucket';
export type { BucketName, Dip } from './bucket';
export { choicesOf, indexOf } from './rules';
export type { IndexQuestion, Kit, Option, SpotPlan } from './rules';
export { laps } from './passes';
export type { Lap, NotChanged } from './passes';
export { criticalPath } from './schedule';
export type { PassAct, PassPart, PlannedPass, Step, StepKind } from './schedule';
export { panelAt, planJob, zoneTreatments } from './planning';
export type { Alternative, BlockedZone, Outcome, Plan, Question, Shortage, Totals, ZonePlan } from './planning';
export { afterwards, claimsOf, handMovesIn, liquidOf, passChangesOf, runRows, towelFillAt, windowsOf } from './views';
export type { Afterwards, Claim, HandMove, LaundryLoad, LeftOver, Liquid, RunRow, Window } from './views';
export {
  addLeg, addPicture, atHour, changePass, defaultChoices, defaultHabits, dropMark, dropPassChange, dropPicture, dropRun, endRun, fixTreatment,
  habitsIn, lift, mayBecome, mirrorSoil, newItem, newJob, noteEvent, noteEvents, noteUse, paint, putMark, putPunch, setAside,
  setAssumption, setChoices, setLeg, setReading, setSpots, sign, startRun, takeBackEvent, unsee, withChange,
  withWeather,
} from './edit';
export type { Brush, Change } from './edit';
export { elapsedMs, planRun, runStatusOf, tasksOf, ticksOf, usageAccount, useOf } from './execution';
export type { Clocks, Hand, RunStatus, Task, UsageAccount } from './execution';
export {
  amountAt, balancesOf, bookingOut, counting, draft, expiry, isBooked, laundering, laundrySteps, lotsOf, missingFor,
  moved, outlookOf, releasing, reserving, retiring, shoppingList, stockItem, takingBack, washesOf,
} from './inventory';
export type { Draft, LaundryStep, Missing, ToBuy } from './inventory';
export {
  everything, hasWords, historyOf, isUseful, learn, logOf, ratiosOf, runStates, searchLog, withLearned,
  withoutLearned, wordsOf,
} from './history';
export type { Learned, Lesson, LogEntry, LogQuery, RunState } from './history';
export {
  approachEffectsOf, bucketSpread, compareBuckets, crossingsOf, finish, habitAnswers, hoursOfDay, lastsOf,
  nextVisitOf, packingListOf, runBuckets, studies, takeWeights, tradeOffsOf, usualLeg, helpOf, whatIf, workOrdersOf,
} from './studies';
export type {
  ApproachEffect, BucketSpread, Crossing, HoursOfDay, HoursAdvice, Lasts, LowWater, NextVisit, Ordering, PanelHour,
  RunOrdering, Studies, Study, StudyKind, SystemRun, TradeOff, Until, WhatIf,
} from './studies';
