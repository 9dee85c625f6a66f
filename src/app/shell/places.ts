/** Where one goes. */
export interface Place {
  readonly path: string;
  readonly name: string;
  readonly icon: string;
  /** On a phone it is found under "More". */
  readonly isRare: boolean;
}

const often = (path: string, name: string, icon: string): Place => ({ path, name, icon: `pi ${icon}`, isRare: false });
const rarely = (path: string, name: string, icon: string): Place => ({ path, name, icon: `pi ${icon}`, isRare: true });

/** In the order of how often. */
export const places: readonly Place[] = [
  often('/day', 'Day', 'pi-calendar'),
  often('/jobs', 'Jobs', 'pi-car'),
  rarely('/clients', 'Clients', 'pi-users'),
  often('/stock', 'Van', 'pi-truck'),
  rarely('/lots', 'Lots', 'pi-th-large'),
  often('/log', 'Log', 'pi-list-check'),
  rarely('/bench', 'Mixing', 'pi-calculator'),
  rarely('/practice', 'Practice', 'pi-graduation-cap'),
  rarely('/library/vehicle', 'Library', 'pi-book'),
  rarely('/prices', 'Prices', 'pi-wallet'),
];
