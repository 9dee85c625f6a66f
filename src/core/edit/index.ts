export { lift, mirrorSoil, paint, setSpots, unsee } from './soil';
export type { Brush } from './soil';
export { fixTreatment, setAssumption, setChoices } from './choices';
export { dropRun, endRun, noteEvent, noteUse, putPunch, startRun, takeBackEvent } from './run';
export { mayBecome, setAside } from './towels';
export { addLeg, addPicture, dropMark, dropPicture, putMark, setLeg, setReading, sign } from './found';
export { atHour, withWeather } from './hour';
export { defaultChoices, defaultHabits, habitsIn, newItem, newJob } from './create';
