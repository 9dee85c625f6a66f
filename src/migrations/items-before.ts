import { isRecord, mapped } from './steps';

/** Sites, products and towels as they were in older versions. None of this follows later changes of defaults. */

/** As sites were before version 3; it does not follow later changes of defaults. */
const calmShade = { humidity: 0.6, windMs: 0.5, shade: true, sunWm2: 0 };

export const withAir = (site: unknown): unknown => (isRecord(site) ? { ...calmShade, ...site } : site);

/** As sites were before version 4: no bay, nobody minds noise, somewhere in the middle latitudes. */
export const withPlace = (site: unknown): unknown =>
  isRecord(site)
    ? {
        bay: false,
        noiseDb: null,
        latitudeDeg: 45,
        longitudeDeg: 0,
        utcOffsetH: 0,
        headingDeg: 180,
        shadeHours: [],
        ...site,
      }
    : site;

export const withLayers = (product: unknown): unknown =>
  isRecord(product) ? { leavesLayer: false, notWith: [], ...product } : product;

/** Before version 4 a heater came with mains power. */
export const heaterBefore4 = {
  id: 'heater',
  name: 'Water heater',
  kind: 'heater',
  flowLMin: 0,
  batteryMin: null,
  noiseDb: 50,
  origin: 'practice',
};

/** Before version 5 the ground was level, steps were at hand, and towels were folded twice. */
export const withGround = (site: unknown): unknown => (isRecord(site) ? { slope: 0, steps: true, ...site } : site);

/** What a drying towel's pile had always been taken for. */
export const withFold = (towel: unknown): unknown =>
  isRecord(towel) ? { pile: towel['role'] === 'drying' ? 'plush' : 'short', sides: 8, ...towel } : towel;

const SHADES_BEFORE_18 = 46;

/**
 * Before version 18 a calibration held what a side absorbs on average, by Kubelka and Munk, and not
 * its shades: taken as a mark of one shade on a third of the side.
 */
export function withShades(calibration: unknown): unknown {
  if (!isRecord(calibration) || typeof calibration['absorbed'] !== 'number') return calibration;
  const { absorbed, ...others } = calibration;
  const deep = 3 * absorbed;
  const reflectance = 1 + deep - Math.sqrt(deep * (deep + 2));
  const shade = Math.min(SHADES_BEFORE_18 - 1, Math.round(-10 * Math.log2(Math.max(1e-6, reflectance))));
  return { ...others, shades: Array.from({ length: SHADES_BEFORE_18 }, (_share, i) => (i === shade ? 1 / 3 : 0)) };
}

/** Products before version 7 claimed nothing, and had no word on safety. */
export const withClaims = (product: unknown): unknown =>
  isRecord(product)
    ? {
        safety: '',
        ...product,
        uses: mapped(product['uses'], (use) => (isRecord(use) ? { protectsDays: null, ...use } : use)),
      }
    : product;
