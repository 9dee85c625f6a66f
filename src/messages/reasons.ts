import type { Budget, CareLeft, Caution, Gate, Obstacle, Shortage, SpotLeft, Verdict } from '@esmero/core';
import type { MixPurpose } from '@esmero/model';
import { worded } from './english';
import { type Units, clock, fixed, indexText, minutes, percent } from './units';
import {
  finishName,
  gearName,
  methodName,
  oneTowel,
  roleName,
  approachName,
  soilName,
  spotName,
  surfaceName,
  toMindName,
  vesselKindName,
  zoneList,
} from './words';

const purposeName: Readonly<Record<MixPurpose | 'water', string>> = worded({
  water: 'pre-rinse',
  waterless: 'waterless',
  foam: 'foam',
  presoak: 'pre-soak',
  wash: 'rinseless',
  glass: 'glass',
  bugs: 'bug remover',
  solvent: 'tar and sap',
  shampoo: 'shampoo',
  'wheel-cleaner': 'wheel cleaner',
  degreaser: 'degreaser',
  topper: 'topper',
  'drying-aid': 'drying aid',
  sealant: 'sealant',
  'trim-dressing': 'trim dressing',
  'tyre-dressing': 'tyre dressing',
});

const steamOff = worded({
  'seams-only': 'Steam is for seams, sills and recesses, not for open panels.',
  film: 'Steam may lift the edges of a film.',
  'cold-glass': 'Steam may crack glass that is frozen.',
} as const);

const airOff = {
  'seams-only': 'Compressed air is for seams and gaps, not for open panels.',
  people: 'Compressed air throws dust at the people who pass.',
} as const;

export const spotLeftBecause: Readonly<Record<SpotLeft, string>> = {
  'no-product': 'no product for them is on the job’s list',
  'too-warm': 'the panel is too warm for the solvent',
  'in-sun': 'a solvent is not used in the sun',
  surface: 'the product’s label excludes the surface',
  finish: 'the product’s label excludes this finish',
  habit: 'your approach leaves them alone',
  'no-rinse': 'what lifts them has to be rinsed off, and nothing rinses here',
};

/** What to do first where bug remover cannot be used here and now. */
export function bugsAdvice(why: CareLeft, most: string): string {
  switch (why) {
    case 'in-sun':
      return 'Bring the front into the shade first: bug remover is not used in the sun.';
    case 'too-warm':
      return `Shade it and let it cool to ${most} first: that is the bug remover’s limit.`;
    case 'no-rinse':
      return 'This bug remover has to be rinsed off: bring something to rinse with, or take one that is wiped off.';
    case 'surface':
    case 'finish':
      return 'Take a bug remover that is made for this surface: the label of yours excludes it.';
    default:
      return 'Put a bug remover on the job’s list.';
  }
}

/** No liquid is carried hotter. */
const HOTTEST_C = 80;

/** Why a treatment cannot be used on a zone. */
export function gateSentence(gate: Gate, u: Units): string {
  switch (gate.code) {
    case 'no-product':
      return `No ${purposeName[gate.purpose]} product is on the job’s list.`;
    case 'no-vessel':
      return `No free ${vesselKindName[gate.vessel]} to work from.`;
    case 'no-power':
      return 'This needs mains power, and the site has none.';
    case 'no-tap':
      return 'A pressure washer needs a tap, and the site has none.';
    case 'no-bay':
      return 'There is no wash bay at hand.';
    case 'no-gear':
      return `There is no ${gearName[gate.gear]} in the van.`;
    case 'too-loud':
      return `It makes ${fixed(gate.noiseDb)} dB, and at most ${fixed(gate.mostDb)} dB are tolerated here.`;
    case 'opening':
      return 'A jet would drive water past the door’s seals and into the car.';
    case 'steam-off':
      return steamOff[gate.why];
    case 'air-off':
      return airOff[gate.why];
    case 'sun-habit':
      return 'Shade the panel: your approach works in shade only.';
    case 'fabric':
      return 'A soft top is fabric, and wants a cleaner of its own.';
    case 'keep-dry':
      return `${toMindName[gate.what]}: nothing wet here. Steam, or a spray on the towel, may do.`;
    case 'electrics':
      return 'No jet and no wet towel here: electrics and bearings stay dry. A spray or a light foam at most.';
    case 'chemistry':
      return 'Only what is rinsed off again may touch this car.';
    case 'leaves-layer':
      return 'The product leaves a layer, and this finish should not get one.';
    case 'incompatible':
      return `The ${purposeName[gate.purposes[0]]} and the ${purposeName[gate.purposes[1]]} product must not meet on a panel.`;
    case 'runoff-forbidden':
      return `${u.volume(gate.litres * 1000)} would run off, and nothing may here.`;
    case 'indoors':
      return 'Water would run off indoors, and nothing is there to catch it.';
    case 'slope':
      return `The slope is ${fixed(gate.slope * 100)} %: above ${fixed(gate.most * 100)} % a mat holds nothing back.`;
    case 'out-of-reach':
      return gate.why === 'slope'
        ? `${u.height(gate.heightM)} up: out of reach from the ground, and steps do not stand on a slope like this.`
        : `${u.height(gate.heightM)} up: out of reach from the ground, and no steps are brought along.`;
    case 'lumps':
      return 'Mud or lumps are rinsed off before anything touches them.';
    case 'wiped-dry':
      return `Too little liquid to wipe safely: a film of ${indexText(gate.filmUm)} µm, and it takes ${indexText(gate.leastUm)} µm.`;
    case 'panel-too-hot':
      return `The panel is at ${u.temperature(gate.panelC)}, and the product’s limit is ${u.temperature(gate.maxC)}.`;
    case 'dries-first':
      return `It would dry by itself in ${clock(gate.openS)}; dwell and work on even a small section need ${clock(gate.needS)} and a margin. Shade the panel or let it cool.`;
    case 'freezes-first':
      return `It would freeze in ${clock(gate.freezeS)}, before ${clock(gate.needS)} of dwell and work are over.`;
    case 'freezes':
      return `The liquid would come to ${u.temperature(gate.mixC)} on the panel and freeze. It would take ${gate.leastLiquidC <= HOTTEST_C ? `liquid at ${u.temperature(gate.leastLiquidC)}, or ` : ''}a panel no colder than ${u.temperature(gate.coldestPanelC)}.`;
    case 'surface':
      return `The product’s label excludes ${surfaceName[gate.surface]}.`;
    case 'finish':
      return `The product’s label excludes this finish: ${finishName[gate.finish].toLowerCase()}.`;
    case 'index-over-limit':
      return `Marring index ${indexText(gate.index)} is over the ${indexText(gate.limit)} of the ${approachName[gate.approach].toLowerCase()} approach.`;
    case 'dirt-limit':
      return gate.limit === 'only-dust'
        ? `There is more than dust on it: ${soilName[gate.kind].toLowerCase()}. The approach lets waterless touch only dust.`
        : `It is dirtier than a light film: ${soilName[gate.kind].toLowerCase()}. The approach stops waterless there.`;
    case 'rinse-first':
      return `${soilName[gate.kind]} crackles: rinse it first, as there is something to rinse with.`;
    case 'blow-first':
      return `${soilName[gate.kind]} lies loose in the seams: blow it out first, as there is an air gun.`;
    case 'foam-first':
      return `${soilName[gate.kind]} crackles: foam it and rinse before the mitt, as there is a foamer.`;
  }
}

/** Why something is not put on, and what would help. */
function leftBecause(why: CareLeft, mostC: number | null, u: Units): string {
  switch (why) {
    case 'no-product':
      return 'none is on the job’s list';
    case 'surface':
      return 'its label excludes the surface';
    case 'finish':
      return 'its label excludes this finish';
    case 'layer':
      return 'it leaves a layer, and this finish should not get one';
    case 'not-together':
      return 'it must not meet what the wash leaves there';
    case 'too-warm':
      return mostC === null ? 'it is too warm' : `it is warmer than ${u.temperature(mostC)}; let it cool first`;
    case 'in-sun':
      return 'not in the sun; shade it first';
    case 'no-rinse':
      return 'it has to be rinsed off, and nothing rinses here';
    case 'habit':
      return 'your approach leaves it alone';
  }
}

const isTowels = (budget: Budget): budget is Exclude<Budget, 'litres' | 'runoffL' | 'minutes' | 'batteryMin'> =>
  budget !== 'litres' && budget !== 'runoffL' && budget !== 'minutes' && budget !== 'batteryMin';

/** A budget that is too small, and by how much. */
export function shortageSentence({ budget, need, have, proved }: Shortage, u: Units): string {
  if (isTowels(budget)) {
    // A need beyond any pile stands for "none of that role at all".
    if (have === 0) return `There are no clean ${roleName[budget]}.`;
    // In mid-run open towels count by the sides that are left of them.
    if (!Number.isInteger(have))
      return `Takes ${fixed(need, 1)} ${roleName[budget]}, and ${fixed(have, 1)} are left, with the clean sides of open ones.`;
    return `Takes ${Math.ceil(need)} ${roleName[budget]}, and ${have === 1 ? 'one is' : `${have} are`} clean.`;
  }
  if (budget === 'minutes')
    return proved
      ? `Takes at least ${minutes(need)}, and there are ${minutes(have)}.`
      : `No plan was found that takes less than ${minutes(need)}, and there are ${minutes(have)}.`;
  if (budget === 'batteryMin')
    return `The washer would run for ${minutes(need)}, and its batteries last ${minutes(have)}.`;
  const what = budget === 'litres' ? 'of water' : 'of runoff';
  return `Takes ${u.water(need)} ${what}, and there is room for ${u.water(have)}.`;
}

const zones = (count: number): string => (count === 1 ? 'one panel' : `${count} panels`);

const helpFor: Readonly<Record<Obstacle, string>> = {
  heat: 'Shade the car, let the panels cool, or come at another hour.',
  frost: 'Bring the car indoors, or hot water; or come on a milder day.',
  kit: 'A product or a vessel is missing.',
  soil: 'They need a full rinse wash.',
};

/** What would let a part be done after all. */
function partHelp(because: Obstacle, gate: Gate | null): string {
  switch (gate?.code) {
    case 'out-of-reach':
      return gate.why === 'no-steps' ? 'Bring steps.' : 'Park on level ground.';
    case 'panel-too-hot':
    case 'dries-first':
    case 'sun-habit':
      return 'Shade it, let it cool, or come at another hour.';
    case 'index-over-limit':
    case 'lumps':
    case 'dirt-limit':
      return 'A pre-rinse would help: with a washer, where water may run.';
    case 'runoff-forbidden':
    case 'indoors':
      return 'A pre-rinse would help, with a mat below or where water may run.';
    default:
      return helpFor[because];
  }
}

/** Why the plan is as it is. */
export function verdictSentence(verdict: Verdict, u: Units): string {
  switch (verdict.code) {
    case 'chosen':
      return `${methodName[verdict.method]} is the best plan within your limits (score ${indexText(verdict.cost)}: marring, minutes, water, towels and cost together).`;
    case 'asked-for':
      return `${methodName[verdict.method]} was asked for.`;
    case 'nearly-best':
      return `A better plan might cost up to ${percent(verdict.within, 1)} less; the search stopped there.`;
    case 'runner-up':
      return `${methodName[verdict.method]} would take ${minutes(verdict.minutes)} and ${u.water(verdict.litres)} at a mean index of ${indexText(verdict.index)}.${
        verdict.cheaperBy > 0.005
          ? ` Its score is ${fixed(verdict.cheaperBy, 2)} lower in all, but higher on paint and glass, and those come first.`
          : ''
      }`;
    case 'method-blocked':
      return verdict.zones > 0
        ? `${methodName[verdict.method]} alone is ruled out on ${zones(verdict.zones)}.`
        : `${methodName[verdict.method]} alone does not fit the site’s or the van’s limits.`;
    case 'zones-blocked':
      return `Can’t be washed safely here today: ${zoneList(verdict.zones, 6)}. ${verdict.gates.map((gate) => gateSentence(gate, u)).join(' ')} ${helpFor[verdict.because]}`;
    case 'parts-left':
      return `Left out today: ${zoneList(verdict.zones, 6)}. ${
        verdict.because === 'budget'
          ? shortageSentence(verdict.shortage, u)
          : `${verdict.gate ? gateSentence(verdict.gate, u) : ''} ${partHelp(verdict.because, verdict.gate)}`
      }`;
    case 'cooled-first':
      return `Too hot as they are, up to ${u.temperature(verdict.hottestC)}: cool these with a mist in their pass: ${zoneList(verdict.zones, 6)}.`;
    case 'warm-by-practice':
      return `No label says how warm is too warm. Practice stops at ${u.temperature(verdict.practiceC)}, and these are up to ${u.temperature(verdict.hottestC)}: ${zoneList(verdict.zones, 4)}. Work small, or in the shade.`;
    case 'residue':
      return `What evaporates would leave up to ${fixed(verdict.mostMgM2)} mg/m² behind, and above ${fixed(verdict.limitMgM2)} spots are likely: ${zoneList(verdict.zones, 4)}. Use softer or distilled water, small sections, or dry at once.`;
    case 'zones-wait':
      return `With what there is, all but these could be done: ${zoneList(verdict.zones, 6)}.`;
    case 'late':
      return `Shade it, or call in a second person: ${zoneList(verdict.zones, 6)} will dry before you can finish.`;
    case 'over-by-clock':
      return `By the time you get there: ${gateSentence(verdict.gate, u)} It goes for ${zoneList(verdict.zones, 6)}.`;
    case 'towels-to-find':
      return `Find ${verdict.count === 1 ? `one more ${oneTowel[verdict.role]}` : `${fixed(verdict.count)} more ${roleName[verdict.role]}`}.`;
    case 'zones-left':
      return `Left out by hand: ${zoneList(verdict.zones)}.`;
    case 'over-budget':
      return shortageSentence(verdict, u);
    case 'missing':
      return gateSentence(verdict.gate, u);
    case 'bugs-left':
      return `${bugsAdvice(verdict.why, u.temperature(verdict.mostC))} Until then the bugs stay on: ${zoneList(verdict.zones)}.`;
    case 'spots-left':
      return `${verdict.count} ${spotName[verdict.kind]} stay: ${spotLeftBecause[verdict.why]}.`;
    case 'product-left':
      return `No ${purposeName[verdict.purpose]} on ${zoneList(verdict.zones, 4)}: ${leftBecause(verdict.why, verdict.mostC, u)}.`;
    case 'against-advice':
      return verdict.zones > 0
        ? `Against advice, on the word of ${verdict.by}: ${zones(verdict.zones)} over the index that your approach accepts.`
        : `${verdict.by} has agreed to go ahead against advice; nothing in this plan needs it.`;
    case 'not-seen':
      return `${verdict.zones === 1 ? 'One panel has' : `${verdict.zones} panels have`} not been looked at and ${verdict.zones === 1 ? 'is' : 'are'} ${verdict.forecast ? 'forecast from the days since the last wash' : 'taken as clean'}.`;
  }
}

export const cautionSentence: Readonly<Record<Caution, string>> = worded({
  chemicals:
    'Read each product’s safety data sheet. Gloves and eye protection; never mix products, label every vessel.',
  'hot-liquid':
    'Hot water scalds: only vessels rated for it, gloves, let the pressure off first. Never boiling water on frozen glass.',
  'freezing-ground': 'Water left on the ground will freeze: grit it, put out a cone, and tell people.',
  runoff:
    'Waste water to storm drains is restricted in many places: check the local code, collect it, take it to a sanitary drain where that is allowed.',
  ladder: 'The roof is out of reach: a ladder on level ground only, never on the wheels.',
  lifting: 'One litre weighs one kilogram: fill at the car, carry two small vessels rather than one large.',
  brakes: 'Keep sprays and dressings off brake discs, tyre tread and pedals; no acid or solvent on hot wheels.',
  steam: 'Steam burns at once: gloves, never towards a hand or a face, never on cold glass or over electrics.',
  'compressed-air':
    'Compressed air: eye and ear protection, never towards skin or people, and never into the open car.',
  electricity:
    'Cables, batteries and chargers stay away from water; a residual-current device on mains. Nothing inside an electric vehicle is touched.',
  solvent:
    'Tar and sap lifters burn and irritate: no flame, fresh air, gloves, off hot panels, towels aired before the wash.',
  'wheel-cleaner':
    'Wheel cleaner and degreaser: gloves and eye protection, cold wheels only, off discs, pads and bare metal; never let them dry, never mix them with anything.',
  traffic:
    'Traffic and people: cones, a bright vest, cables and water out of the way; local rules for work on the road come first.',
  'hot-exhaust':
    'Exhaust and engine burn, and dry everything on them: let them cool to the hand first. Nothing slippery on tyres, brake discs, footrests and seat.',
  engine:
    'Engine bay: only a cold engine, electrics and intakes covered, a light foam, wiped dry. Nothing electrical or high-voltage is touched; on an electric vehicle leave it to licensed people.',
  dressing:
    'Dressings make tread, brake discs, pedals and seats slippery: keep them off, and wipe off what is too much.',
  'hot-panels': 'Panels are hot enough to burn a hand: shade the car and let it cool.',
});
