/** Density of quartz grit and of water, kg/m³; gravity, m/s². */
const GRIT = 2650;
const WATER = 998.2;
const GRAVITY = 9.81;
/** Above this Reynolds number drag is more than Stokes' law has it. */
const STOKES_TO = 0.3;

/** Dynamic viscosity of water, Pa·s (Vogel's form), 0 to 100 °C within a per cent or so. */
const viscosity = (c: number): number => 2.414e-5 * 10 ** (247.8 / (c + 273.15 - 140));

/** Schiller and Naumann's correction of Stokes' drag. */
const drag = (reynolds: number): number => (reynolds > STOKES_TO ? 1 + 0.15 * reynolds ** 0.687 : 1);

/**
 * Terminal speed of a quartz grain in still water, m/s: Stokes' law with the Schiller–Naumann
 * correction, found by fixed-point iteration.
 * @example settlingMs(40, 20) // 0.00144
 */
export function settlingMs(grainUm: number, waterC: number): number {
  const d = grainUm * 1e-6;
  const mu = viscosity(waterC);
  const stokes = ((GRIT - WATER) * GRAVITY * d * d) / (18 * mu);
  let speed = stokes;
  for (let i = 0; i < 60; i++) speed = (speed + stokes / drag((WATER * speed * d) / mu)) / 2;
  return speed;
}
