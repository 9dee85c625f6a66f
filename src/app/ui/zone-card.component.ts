import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { ZonePlan } from '@esmero/core';
import type { Zone, ZoneSoil } from '@esmero/model';
import { type Units, clock, indexText, surfaceName, treatmentName, zoneName } from '@esmero/messages';
import { forecastWords, soilWords } from './net/looks';

/** One zone in a few lines: what it is, what lies on it, what will be done. */
@Component({
  selector: 'esm-zone-card',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (zone(); as zone) {
      <strong>{{ name() }}</strong>
      <span class="num soft">{{ facts() }}</span>
      <span><span class="soft">{{ basis() }}:</span> {{ soil() }}</span>
      <span><span class="soft">Plan:</span> {{ treatment() }}</span>
      <span class="num soft">{{ drying() }}</span>
    } @else {
      <span class="soft">Point at, press or Tab to a zone to read it here.</span>
    }
  `,
  styles: `
    :host {
      display: flex;
      flex-wrap: wrap;
      gap: 0.15rem 1rem;
      align-items: baseline;
      min-height: 3.1rem;
      padding: 0.35rem 0.75rem;
      border-top: 1px solid var(--line);
      font-size: 0.95rem;
    }
  `,
})
export class ZoneCardComponent {
  readonly zone = input.required<Zone | undefined>();
  readonly seen = input.required<ZoneSoil | undefined>();
  readonly plan = input.required<ZonePlan | undefined>();
  readonly units = input.required<Units>();

  protected readonly name = computed(() => zoneName(this.zone()!.id));
  protected readonly facts = computed(() => {
    const { areaM2, tiltDeg, surface } = this.zone()!;
    return `${this.units().area(areaM2)} · ${surfaceName[surface]} · tilted ${tiltDeg.toFixed(0)}°`;
  });
  protected readonly basis = computed(() => (!this.seen() && this.plan()?.soil.basis === 'forecast' ? 'Forecast' : 'Seen'));
  protected readonly soil = computed(() => {
    const soil = this.plan()?.soil;
    return this.seen() || soil?.basis !== 'forecast' ? soilWords(this.seen()) : forecastWords(soil, this.units());
  });
  /** How long the liquid lasts, and in how many sections the zone is done. */
  protected readonly drying = computed(() => {
    const option = this.plan()?.option;
    if (!option) return '';
    const { openS, freezeS } = option.drying;
    const { sections } = option;
    const inSections = sections > 1 ? `, in ${sections} sections` : '';
    if (freezeS !== null) return `freezes in ${clock(freezeS)}${inSections}`;
    return `${openS === null ? 'stays wet for an hour and more' : `dries by itself in ${clock(openS)}`}${inSections}`;
  });
  protected readonly treatment = computed(() => {
    const plan = this.plan();
    if (!plan) return 'being worked out';
    const { option, treatment } = plan;
    return option
      ? `${treatmentName(treatment)}, index ${indexText(option.marring.index)}`
      : treatmentName(treatment);
  });
}
