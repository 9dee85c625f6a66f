import { Injectable, computed, inject, signal } from '@angular/core';
import { type Brush, mirrorSoil, paint, unsee } from '@esmero/core';
import type { CleanlinessClass, SoilKind, SoilLevel, View, ZoneId } from '@esmero/model';
import { capital, className, soilName, viewName, zoneName } from '@esmero/messages';
import { JobDesk } from '../../state/job-desk';

const kindKeys: Readonly<Record<string, SoilKind>> = {
  d: 'dust',
  p: 'pollen',
  f: 'road-film',
  a: 'fallout',
  s: 'salt',
  g: 'grit',
  m: 'mud',
  b: 'brake-dust',
};

/** What is in the hand on the walk round: a kind and a level, laid on or instead. */
@Injectable()
export class SoilBrush {
  private readonly desk = inject(JobDesk);
  private readonly _kind = signal<SoilKind>('dust');
  private readonly _level = signal<SoilLevel>(1);
  private readonly _onTop = signal(false);
  private readonly _erases = signal(false);

  readonly kind = this._kind.asReadonly();
  readonly level = this._level.asReadonly();
  readonly onTop = this._onTop.asReadonly();
  readonly erases = this._erases.asReadonly();
  readonly says = computed(() =>
    this._erases() ? 'not looked at' : this._level() === 0 ? 'clean' : `${soilName[this._kind()]} ${this._level()}`,
  );

  take(kind: SoilKind): void {
    this._kind.set(kind);
    this._erases.set(false);
  }

  load(level: SoilLevel): void {
    this._level.set(level);
    this._erases.set(false);
  }

  toggleOnTop(): void {
    this._onTop.update((onTop) => !onTop);
  }

  erase(): void {
    this._erases.set(true);
  }

  onZones(ids: readonly ZoneId[], where: string, stroke: string | null = null): void {
    if (ids.length === 0) return;
    const cause = `${where}: ${this.says()}`;
    if (this._erases()) this.desk.edit(cause, (job) => unsee(job, ids), stroke);
    else this.desk.edit(cause, (job) => paint(job, ids, this.brush()), stroke);
  }

  onZone(id: ZoneId, stroke: string | null = null): void {
    this.onZones([id], zoneName(id), stroke);
  }

  onView(view: View): void {
    const ids = this.desk
      .zones()
      .filter((zone) => zone.view === view)
      .map(({ id }) => id);
    this.onZones(ids, capital(viewName[view]));
  }

  onClass(cleanliness: CleanlinessClass): void {
    const ids = this.desk
      .zones()
      .filter((zone) => zone.cleanliness === cleanliness)
      .map(({ id }) => id);
    this.onZones(ids, capital(className[cleanliness]));
  }

  onAll(): void {
    this.onZones(
      this.desk.zones().map(({ id }) => id),
      'Whole car',
    );
  }

  mirror(from: 'left' | 'right'): void {
    const to = from === 'left' ? 'right' : 'left';
    this.desk.edit(`${capital(to)} side made like the ${from}`, (job) => mirrorSoil(job, from));
  }

  /** One-key painting on the zone in focus; true when the key meant something. */
  key(key: string, id: ZoneId): boolean {
    const zone = this.desk.zone(id);
    if (/^[0-5]$/.test(key)) {
      this.load(Number(key) as SoilLevel);
      this.onZone(id);
    } else if (kindKeys[key]) this.take(kindKeys[key]);
    else if (key === 'o') this.toggleOnTop();
    else if (key === 'x') this.desk.edit(`${zoneName(id)}: not looked at`, (job) => unsee(job, [id]));
    else if (key === 'v' && zone) this.onView(zone.view);
    else if (key === 'c' && zone) this.onClass(zone.cleanliness);
    else return false;
    return true;
  }

  private brush(): Brush {
    return { deposit: { kind: this._kind(), level: this._level() }, onTop: this._onTop() };
  }
}
