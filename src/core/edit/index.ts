export { lift, mirrorSoil, paint, setSpots, unsee } from './soil';
export type { Brush } from './soil';
export { fixTreatment, setAssumption, setChoices } from './choices';
export { dropRun, endRun, noteEvent, noteUse, startRun, takeBackEvent } from './run';
export { mayBecome, setAside, towelOut } from './towels';
export { addLeg, dropMark, putMark, setLeg, setReading } from './found';
export { atHour, withWeather } from './hour';
export { defaultChoices, defaultHabits, habitsIn, newItem, newJob } from './create';
