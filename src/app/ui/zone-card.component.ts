import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { ZonePlan } from '@esmero/core';
import type { Zone, ZoneSoil } from '@esmero/model';
import { type Units, clock, indexText, plannedName, treatmentName, zoneName } from '@esmero/messages';
import { forecastWords, soilWords } from './net/looks';

/** One zone in a few lines: what it is, what lies on it, what will be done. */
@Component({
  selector: 'esm-zone-card',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (zone(); as zone) {
      <p class="num">
        <strong>{{ name() }}</strong> · {{ area() }}
      </p>
      <p>{{ basis() }}: {{ soil() }}</p>
      <p>Plan: {{ treatment() }}</p>
      <p class="num soft">{{ drying() }}</p>
    }
  `,
  styles: `
    :host(:has(p)) {
      display: block;
      width: 12.5rem;
      padding: 0.55rem 0.75rem;
      border-radius: 12px;
      background: var(--tip);
      color: var(--on-tip);
      font-size: 0.85rem;
      line-height: 1.35;
      pointer-events: none;
    }
    p {
      margin: 0 0 0.1rem;
    }
    .soft {
      color: inherit;
      opacity: 0.85;
    }
  `,
})
export class ZoneCardComponent {
  readonly zone = input.required<Zone | undefined>();
  readonly seen = input.required<ZoneSoil | undefined>();
  readonly plan = input.required<ZonePlan | undefined>();
  readonly units = input.required<Units>();

  protected readonly name = computed(() => zoneName(this.zone()!.id));
  protected readonly area = computed(() => this.units().area(this.zone()!.areaM2));
  protected readonly basis = computed(() =>
    this.seen()?.measured ? 'Measured' : !this.seen() && this.plan()?.soil.basis === 'forecast' ? 'Forecast' : 'Seen',
  );
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
    return `${openS === null ? 'won’t dry within an hour' : `dries by itself in ${clock(openS)}`}${inSections}`;
  });
  protected readonly treatment = computed(() => {
    const plan = this.plan();
    if (!plan) return 'being worked out';
    const { option, treatment } = plan;
    return option ? `${treatmentName(treatment)}, index ${indexText(option.marring.index)}` : plannedName(plan);
  });
}
