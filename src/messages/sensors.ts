import { worded } from './english';
import { fixed } from './units';

/** Hours that follow one another, as spans: [8, 9, 10, 14] is 8 to 11, 14 to 15. */
export function spansOf(hours: readonly number[]): readonly (readonly [number, number])[] {
  const spans: [number, number][] = [];
  for (const hour of hours) {
    const last = spans.at(-1);
    if (last && last[1] === hour) last[1] = hour + 1;
    else spans.push([hour, hour + 1]);
  }
  return spans;
}

const points = ['north', 'north-east', 'east', 'south-east', 'south', 'south-west', 'west', 'north-west'] as const;

/** The phone as an instrument for the place. */
export const sensorText = worded({
  ask: 'The phone can tell how steep the ground is, where the car faces, and when it is in the shade. Your browser may ask whether it is allowed to.',
  silent: 'This device does not tell how it is held, or it is not allowed to. Set slope, heading and shade by hand.',
  lay: 'Lay the phone flat on the ground beside the car, its top edge towards the nose.',
  notFlat: 'Lay it flat to read this',
  sweep:
    'Stand where the car stands and hold the phone upright. Begin, then follow the tops of walls and trees with the camera, once round from east over south to west.',
  noNorth: 'There is no compass: wave the phone in a figure of eight, or set heading and shade by hand.',
  byHand: 'All of it can be typed under “Exact figures of the place”.',
  notSwept: 'Not swept yet: open sky.',
  shaded: (hours: readonly number[]): string =>
    hours.length === 0
      ? 'No hour in the shade'
      : `In the shade ${spansOf(hours)
          .map(([from, to]) => `${from} to ${to}`)
          .join(', ')} o’clock`,
  stands: (faces: number | null, slope: number): string => {
    const fall = slope < 0.005 ? 'level ground' : `the ground falls ${fixed(100 * slope, 1)} %`;
    return faces === null
      ? fall[0]!.toUpperCase() + fall.slice(1)
      : `Faces ${points[Math.round(faces / 45) % 8]} (${faces}°), ${fall}`;
  },
});
