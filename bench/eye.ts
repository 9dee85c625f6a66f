import { type Raster, defaultAssumptions, plainScene, renderTowel, studies } from '@esmero/core';

/** A picture of a phone: twelve million pixels, made larger from a rendered one. */
const [WIDTH, HEIGHT] = [4000, 3000];
const RUNS = 15;

function enlarged({ width, height, rgba }: Raster): Raster {
  const large = new Uint8ClampedArray(4 * WIDTH * HEIGHT);
  const [from, to] = [new Uint32Array(rgba.buffer), new Uint32Array(large.buffer)];
  for (let y = 0; y < HEIGHT; y++)
    for (let x = 0; x < WIDTH; x++)
      to[y * WIDTH + x] = from[Math.floor((y * height) / HEIGHT) * width + Math.floor((x * width) / WIDTH)]!;
  return { width: WIDTH, height: HEIGHT, rgba: large };
}

const picture = enlarged(renderTowel({ ...plainScene, width: 1000, height: 750, blur: 1.2 }, defaultAssumptions));
const asked = {
  patchM2: 0.04,
  sideM2: 0.04,
  cleanliness: 1,
  kind: null,
  person: '',
  cloth: '',
  calibrations: [],
  dye: null,
  assumptions: defaultAssumptions,
} as const;

const totals: number[] = [];
let [longest, reports] = [0, 0];
for (let run = 0; run < RUNS; run++) {
  const begun = performance.now();
  const study = studies['wipe-test']({ picture, asked });
  for (let before = performance.now(), step = study.next(); ; step = study.next()) {
    const now = performance.now();
    longest = Math.max(longest, now - before);
    before = now;
    if (step.done) {
      if (step.value.kind !== 'measured')
        throw new Error(`The picture of the benchmark was refused: ${step.value.fault}`);
      break;
    }
    reports++;
  }
  totals.push(performance.now() - begun);
}
totals.sort((p, q) => p - q);
console.log(
  `A wipe test of 12 megapixels: median ${totals[RUNS >> 1]!.toFixed(0)} ms, longest ${totals.at(-1)!.toFixed(0)} ms, ${Math.round(reports / RUNS)} reports, ${longest.toFixed(0)} ms between two at most`,
);
