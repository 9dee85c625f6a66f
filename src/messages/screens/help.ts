import { worded } from '../english';

/** From the car to the handover, stage by stage. */
export const helpSteps = worded([
  { title: 'Site', text: 'Say whose car it is, where it stands, what may run off and how long you have.' },
  {
    title: 'Walk-round',
    text: 'Go round the car and mark what you see. What you have not looked at is forecast, and says so.',
  },
  {
    title: 'Method',
    text: 'Waterless, rinseless, both, or not today: one line with its reasons. Press a panel to see why.',
  },
  {
    title: 'Price',
    text: 'What to ask for it and how long to say, before the car is seen. Quote and invoice come out as PDF.',
  },
  { title: 'Mix', text: 'Every vessel with what goes into it. Water first, then product.' },
  { title: 'Towels', text: 'How many, which side for which panel, and when the water has to be changed.' },
  {
    title: 'Work order',
    text: 'One pass after the other by the clock. Move, join or split them, and print the sheet.',
  },
  {
    title: 'Run',
    text: 'Beside the car: one pass at a time, one large Done. When something changes, the rest is planned again.',
  },
  { title: 'Handover', text: 'What was done, how long it holds and when to come back, for the client to sign.' },
]);

/** Short answers for whoever is stuck. */
export const helpText = worded({
  lead: 'Everything is worked out on this device. Only the weather is asked for elsewhere, when you press for it: the day and the coordinates of the site go to the server.',
  whole:
    'Day puts all jobs of a date in order, says what runs short and what to pack. Lots are many like cars in one place.',
  measured:
    'A wipe test on the walk-round measures a panel by a picture of the towel. Practice shows how well you judge one by eye.',
  remote:
    'In the run, a camera remote or headset button marks the pass as done; with “Tap anywhere” open, a presenter’s does, too.',
  levels: 'Go low and look along the panel. When in doubt, take the dirtier level.',
  safety:
    'Local codes, product sheets and licensed practice come before anything said here. Read the safety data sheets; gloves and eye protection; never mix products in one vessel.',
  kept: 'Jobs, stock and log are kept in this browser. Save a backup now and then under Jobs, above all before you clear the browser or change the device.',
  figures:
    'Press any figure of the plan to see where it comes from. What is our own judgement says so, and you can set your own.',
  offline:
    'Esmero works without a network once it has been opened. Install it from the browser’s menu to keep it alongside your other apps.',
  wordsLead: 'The same word for the same thing, on every screen.',
});

/** Words of the work, each in one sentence. */
export const glossary = worded([
  { word: 'Panel', means: 'A part of the car that is judged and treated on its own.' },
  { word: 'Pass', means: 'One person’s work in one place, without moving on.' },
  { word: 'Lap', means: 'Once round the car, from clean to dirty.' },
  { word: 'Pre-rinse', means: 'Rinsing before anything touches the paint.' },
  { word: 'Dwell', means: 'The time a product needs to loosen dirt.' },
  { word: 'Marring index', means: 'How likely fine marks are, from 0 to 100: relative, and our own judgement.' },
  { word: 'Approach', means: 'How much of that risk is accepted.' },
  { word: 'Wipe test', means: 'A towel side that wiped a known patch, and its picture: how much lies there.' },
  { word: 'Sill', means: 'The edge below the doors.' },
  { word: 'Door shut', means: 'The painted opening behind a door.' },
  { word: 'Dilution', means: 'One part of product to so many parts of water, unless the label says otherwise.' },
]);
