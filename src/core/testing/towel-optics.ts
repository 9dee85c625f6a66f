/**
 * Other ways in which soil may darken a cloth, for pictures whose optics the reading does not know.
 * Each gives the light that is left, of a clean cloth's, for soil in units of the gauge, of which a
 * quarter leaves half.
 */
type Optics = (absorbed: number) => number;

/** Takes amounts to a scale on which a quarter leaves half the light. */
function toScale(left: (amount: number) => number): Optics {
  let [low, high] = [0, 1e3];
  for (let round = 0; round < 80; round++) {
    const middle = (low + high) / 2;
    if (left(middle) > 0.5) low = middle;
    else high = middle;
  }
  return (absorbed) => left((absorbed / 0.25) * low);
}

/** Black grains cover the cloth, and each other, at random. */
const specks = toScale((amount) => 0.03 + 0.97 * Math.exp(-amount));

/** A layer that scatters lies before a grey cloth (Kubelka 1948, the hyperbolic solution). */
const layer = (cloth: number, ratio: number): Optics => {
  const a = 1 + ratio;
  const b = Math.sqrt(a * a - 1);
  return toScale((amount) => {
    const c = amount < 1e-9 ? 1e9 : b / Math.tanh(b * amount);
    return (1 - cloth * (a - c)) / (a - cloth + c) / cloth;
  });
};

/** A filter on the cloth, between which light goes to and fro (Clapper and Yule 1953). */
const betweenFaces = (cloth: number, back: number): Optics =>
  toScale((amount) => {
    const through = Math.exp(-2 * amount);
    return (through * (1 - back * cloth)) / (1 - back * cloth * through);
  });

export const strangeOptics = {
  specks,
  layer: layer(0.86, 8),
  betweenFaces: betweenFaces(0.88, 0.5),
} as const satisfies Record<string, Optics>;

/** Soil rubbed into a cloth that is not quite white (Kubelka and Munk). */
export const greyCloth = (cloth: number): Optics => {
  const of = (reflectance: number): number => (1 - reflectance) ** 2 / (2 * reflectance);
  const back = (absorbed: number): number => 1 + absorbed - Math.sqrt(absorbed * (absorbed + 2));
  return toScale((amount) => back(of(cloth) + amount) / cloth);
};
