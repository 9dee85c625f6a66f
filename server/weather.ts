import { clearSkyWm2, defaultAssumptions, sunAt } from '@esmero/core';
import { celsius, degrees } from '@esmero/units';
import type { Forecast, WeatherQuestion } from '@esmero/exchange';

/**
 * A simulated weather service: no sky behind it, but the same place and day always get the same
 * weather, with seasons, days and nights, clear and cloudy spells that follow each other.
 */

/** A number from 0 to 1 out of a text, the same for the same text. */
function chance(seed: string): number {
  let hash = 2166136261;
  for (const letter of seed) hash = Math.imul(hash ^ letter.codePointAt(0)!, 16777619) >>> 0;
  hash = Math.imul(hash ^ (hash >>> 15), 2246822507) >>> 0;
  return ((hash ^ (hash >>> 13)) >>> 0) / 0xffffffff;
}

const DAY_MS = 86_400_000;

const dayOfYear = (date: string): number => {
  const day = Date.parse(`${date}T00:00:00Z`);
  return (day - Date.parse(`${date.slice(0, 4)}-01-01T00:00:00Z`)) / DAY_MS;
};

/** −1 in the depth of winter to 1 in high summer, at either side of the equator. */
const season = (date: string, latitude: number): number =>
  -Math.cos((2 * Math.PI * (dayOfYear(date) - 15)) / 365.25) * Math.sign(latitude || 1);

/** −1 to 1: what sets this day apart from an ordinary one of its season, like its neighbours. */
function mood(what: string, { latitude, longitude, date }: WeatherQuestion): number {
  const place = `${latitude.toFixed(1)}/${longitude.toFixed(1)}`;
  const day = Math.round(Date.parse(`${date}T00:00:00Z`) / DAY_MS);
  const around = [-1, 0, 1].map((step) => chance(`${what}/${place}/${day + step}`));
  return ((around[0]! + 2 * around[1]! + around[2]!) / 4) * 2 - 1;
}

/** Temperature of an hour between the night's low before sunrise and the high of the afternoon. */
const swing = (hour: number): number => Math.cos((2 * Math.PI * (hour - 15)) / 24);

/** It only rains out of skies with more cloud than this. */
const RAIN_CLOUD = 0.65;

/** Of a day on which it rains: from when, and for how long. */
function spellOf(question: WeatherQuestion): { readonly from: number; readonly until: number } {
  const of = (what: string): number =>
    chance(`${what}/${question.latitude.toFixed(1)}/${question.longitude.toFixed(1)}/${question.date}`);
  const from = 5 + Math.floor(14 * of('rain from'));
  return { from, until: from + 2 + Math.floor(7 * of('rain for')) };
}

function hourOf(hour: number, question: WeatherQuestion): Forecast['hours'][number] {
  const { latitude, longitude, utcOffset, date } = question;
  const cloud = Math.min(1, Math.max(0, 0.45 + 0.75 * mood('cloud', question)));
  const spell = spellOf(question);
  const isWet = cloud > RAIN_CLOUD && hour >= spell.from && hour < spell.until;
  const mean =
    31 - 0.4 * Math.abs(latitude) + season(date, latitude) * (2 + 0.2 * Math.abs(latitude)) + 4 * mood('air', question);
  const airC = mean + (1.5 + 4.5 * (1 - cloud)) * swing(hour);
  const place = { latitudeDeg: degrees(latitude), longitudeDeg: degrees(longitude), utcOffsetH: utcOffset };
  const clear = clearSkyWm2(sunAt(place, date, hour).altitudeDeg, defaultAssumptions);
  const round = (value: number, digits: number): number => Number(value.toFixed(digits));
  return {
    hour,
    airC: celsius(round(airC, 1)),
    humidity: round(Math.min(0.97, Math.max(0.2, 0.62 + 0.2 * cloud - 0.16 * swing(hour) * (1 - 0.5 * cloud))), 2),
    windMs: round(Math.max(0.2, 1.8 + 1.6 * mood('wind', question) + 0.9 * Math.max(0, swing(hour))), 1),
    // Thin cloud takes little of the sun, a closed sky three quarters.
    sunWm2: round(clear * (1 - 0.75 * cloud ** 2), 0),
    rainMmH: isWet ? round(0.4 + 4 * (cloud - RAIN_CLOUD), 1) : 0,
  };
}

export const simulatedWeather = (question: WeatherQuestion): Forecast => ({
  source: 'simulated weather service',
  hours: Array.from({ length: 24 }, (_, hour) => hourOf(hour, question)),
});
