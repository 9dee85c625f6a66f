import type { CentrePart, CleanlinessClass, FlankPart, Surface } from '../model';

/** What a zone is made of and how it is treated, the same on every body. */
export interface Traits {
  readonly surface: Surface | 'painted-or-clad';
  readonly cleanliness: CleanlinessClass;
  /** True area over drawn area: curvature, returns, spokes. Our judgement. */
  readonly curvature: number;
}

const t = (surface: Traits['surface'], cleanliness: CleanlinessClass, curvature: number): Traits => ({
  surface,
  cleanliness,
  curvature,
});

export const flankTraits: Readonly<Record<FlankPart, Traits>> = {
  'front-wing-upper': t('paint', 1, 1.03),
  'front-wing-lower': t('paint', 2, 1.05),
  'front-door-upper': t('paint', 1, 1.03),
  'front-door-lower': t('paint', 2, 1.03),
  'rear-door-upper': t('paint', 1, 1.03),
  'rear-door-lower': t('paint', 2, 1.03),
  'rear-wing-upper': t('paint', 1, 1.03),
  'rear-wing-lower': t('paint', 2, 1.05),
  sill: t('painted-or-clad', 2, 1.15),
  'front-glass': t('glass', 0, 1.03),
  'rear-glass': t('glass', 0, 1.03),
  mirror: t('paint', 1, 2),
  'front-shut': t('paint', 3, 3),
  'rear-shut': t('paint', 3, 3),
  'front-wheel': t('wheel-finish', 4, 1.3),
  'front-tyre': t('rubber', 5, 1.2),
  'front-arch': t('rubber', 5, 2),
  'rear-wheel': t('wheel-finish', 4, 1.3),
  'rear-tyre': t('rubber', 5, 1.2),
  'rear-arch': t('rubber', 5, 2),
};

export const centreTraits: Readonly<Record<CentrePart, Traits>> = {
  roof: t('paint', 1, 1.03),
  windscreen: t('glass', 0, 1.04),
  'rear-window': t('glass', 0, 1.04),
  bonnet: t('paint', 1, 1.03),
  'boot-lid': t('paint', 1, 1.03),
  grille: t('bare-plastic', 2, 1.4),
  'front-bumper-upper': t('paint', 1, 1.12),
  'front-bumper-lower': t('painted-or-clad', 2, 1.12),
  'rear-face': t('paint', 1, 1.05),
  badges: t('paint', 1, 1.2),
  'rear-bumper-upper': t('paint', 2, 1.1),
  'rear-bumper-lower': t('painted-or-clad', 2, 1.1),
  'boot-sill': t('paint', 3, 2),
};
