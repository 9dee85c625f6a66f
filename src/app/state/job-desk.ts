import { Injectable, computed, inject } from '@angular/core';
import { Store as State } from '@ngrx/store';
import { type AssumptionKey, assumptionTable, setAssumption, hiddenInScope, zonesOf } from '@esmero/core';
import type { Job, Zone, ZoneId } from '@esmero/model';
import { en, unitsOf } from '@esmero/messages';
import { deskActions, deskFeature } from './desk';
import { planFeature } from './plan';
import { settingsFeature } from './settings';
import { CollectionDesk } from './collection-desk';

/** The job on the desk as signals, and the one way to change it. */
@Injectable({ providedIn: 'root' })
export class JobDesk {
  private readonly state = inject(State);

  readonly job = this.state.selectSignal(deskFeature.selectJob);
  readonly opening = this.state.selectSignal(deskFeature.selectOpening);
  readonly saving = this.state.selectSignal(deskFeature.selectSaving);
  private readonly stroke = this.state.selectSignal(deskFeature.selectStroke);
  readonly canUndo = this.state.selectSignal(deskFeature.selectCanUndo);
  readonly canRedo = this.state.selectSignal(deskFeature.selectCanRedo);
  readonly plan = this.state.selectSignal(planFeature.selectPlan);
  readonly planState = this.state.selectSignal(planFeature.selectPlanState);
  readonly library = inject(CollectionDesk).library;
  readonly units = computed(() => unitsOf(this.unitSystem()));
  private readonly unitSystem = this.state.selectSignal(settingsFeature.selectUnits);

  private readonly vehicle = computed(() => this.job()?.vehicle);
  /** Drawn at once, without waiting for the plan. */
  readonly zones = computed((): readonly Zone[] => {
    const vehicle = this.vehicle();
    return vehicle ? zonesOf(vehicle) : [];
  });
  readonly zonePlans = computed(() => new Map((this.plan()?.zones ?? []).map((zone) => [zone.zone.id, zone])));

  /** Pieces that are asked for and not drawn. */
  readonly hidden = computed((): readonly Zone[] => {
    const [vehicle, scope] = [this.vehicle(), this.scope()];
    return vehicle && scope ? hiddenInScope({ vehicle, scope }) : [];
  });
  private readonly scope = computed(() => this.job()?.scope);
  readonly allZones = computed((): readonly Zone[] => [...this.zones(), ...this.hidden()]);

  zone(id: ZoneId): Zone | undefined {
    return this.allZones().find((zone) => zone.id === id);
  }

  /**
   * @param cause what was done, in words
   * @param stroke changes with the same stroke are taken back together
   */
  edit(cause: string, change: (job: Job) => Job, stroke: string | null = null): void {
    const job = this.job();
    if (job) this.state.dispatch(deskActions.edited({ job: change(job), cause, stroke }));
  }

  /** Takes a stroke back that was not meant, where nothing has been done since. */
  callOff(stroke: string): void {
    if (this.stroke() === stroke) this.undo();
  }

  /** Sets a figure of the model otherwise for this job; null goes back to ours. */
  assume({ key, value }: { readonly key: AssumptionKey; readonly value: number | null }): void {
    this.edit(en(assumptionTable[key].note), (job) => setAssumption(job, key, value));
  }

  open(id: string): void {
    this.state.dispatch(deskActions.open({ id }));
  }

  /** Saves what could not be saved before; nothing where all is. */
  tryAgain(): void {
    const { kind } = this.saving();
    if (kind === 'full' || kind === 'failed') this.state.dispatch(deskActions.retrySave());
  }

  undo(): void {
    this.state.dispatch(deskActions.undo());
  }

  redo(): void {
    this.state.dispatch(deskActions.redo());
  }
}
