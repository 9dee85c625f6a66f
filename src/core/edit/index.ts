export { lift, mirrorSoil, paint, setSpots, unsee } from './soil';
export type { Brush } from './soil';
export { fixTreatment, setAssumption, setChoices } from './choices';
export { defaultChoices, newItem, newJob } from './create';
