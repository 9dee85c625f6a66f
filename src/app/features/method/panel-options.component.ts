import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { Button } from 'primeng/button';
import { type Option, fixTreatment, zoneTreatments } from '@esmero/core';
import type { TreatmentId, ZoneId } from '@esmero/model';
import { clock, fixed, gateSentence, indexText, treatmentName, zoneName, methodText } from '@esmero/messages';
import { JobDesk } from '../../state/job-desk';
import { treatmentFill } from '../../ui/net/zone-look';

interface OptionRow {
  readonly treatment: TreatmentId;
  readonly name: string;
  readonly fill: string;
  readonly chosen: boolean;
  readonly fixed: boolean;
  readonly says: string;
  readonly gates: readonly string[];
}

const signed = (points: number): string => `${points < 0 ? '−' : '+'}${fixed(Math.abs(points), 2)}`;

/** Everything that was compared for one panel; any of it that is allowed can be fixed by hand. */
@Component({
  selector: 'esm-panel-options',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Button],
  template: `
    <h3>{{ name() }}: options compared</h3>
    <ul>
      @for (row of allowed(); track row.treatment) {
        <li [class.chosen]="row.chosen">
          <span class="tone" [attr.data-fill]="row.fill"></span>
          <span class="what"
            >{{ row.name }}<small class="num">{{ row.says }}</small></span
          >
          <p-button
            size="small"
            severity="secondary"
            [outlined]="true"
            [label]="row.fixed ? 'Fixed' : 'Fix'"
            [ariaLabel]="(row.fixed ? 'Fixed: ' : 'Fix ') + row.name"
            (onClick)="fix(row.fixed ? null : row.treatment)"
          />
        </li>
      }
      <li [class.chosen]="left()">
        <span class="tone" data-fill="leave"></span>
        <span class="what">Leave it out</span>
        <p-button
          size="small"
          severity="secondary"
          [outlined]="true"
          [label]="byHand() === 'leave' ? 'Left' : 'Leave'"
          (onClick)="fix(byHand() === 'leave' ? null : 'leave')"
        />
      </li>
    </ul>
    @if (shut().length > 0) {
      <p-button
        size="small"
        [text]="true"
        [icon]="shutOpen() ? 'pi pi-chevron-up' : 'pi pi-chevron-down'"
        [attr.aria-expanded]="shutOpen()"
        [label]="'Ruled out here: ' + shut().length"
        (onClick)="shutOpen.set(!shutOpen())"
      />
      @if (shutOpen()) {
        <ul>
          @for (row of shut(); track row.treatment) {
            <li class="shut">
              <span class="what">
                {{ row.name }}
                @for (gate of row.gates; track gate) {
                  <small class="gate">{{ gate }}</small>
                }
              </span>
            </li>
          }
        </ul>
      }
    }
    <p class="soft">{{ wording.index }}</p>
  `,
  styles: `
    :host {
      display: block;
    }
    ul {
      list-style: none;
      margin: 0;
      padding: 0;
    }
    li {
      display: flex;
      align-items: center;
      gap: 0.55rem;
      padding: 0.3rem 0.4rem;
      border-bottom: 1px solid var(--line);
      border-radius: 6px;
    }
    li.chosen {
      background: var(--sea-wash);
    }
    .tone {
      flex: none;
      width: 1rem;
      height: 1rem;
      border-radius: 4px;
      border: 1px solid #3c474566;
    }
    .what {
      flex: 1;
      min-width: 0;
      line-height: 1.25;
    }
    small {
      display: block;
      color: var(--ink-soft);
    }
    .gate {
      color: var(--rust);
    }
    .soft {
      margin-top: 0.5rem;
      font-size: 0.85rem;
    }
  `,
  styleUrl: '../../ui/net/tone.css',
})
export class PanelOptionsComponent {
  protected readonly wording = methodText;
  readonly zone = input.required<ZoneId>();

  private readonly desk = inject(JobDesk);
  protected readonly shutOpen = signal(false);
  protected readonly name = computed(() => zoneName(this.zone()));
  protected readonly byHand = computed(() => this.desk.job()?.choices.fixed[this.zone()]);
  private readonly treatment = computed(() => this.desk.zonePlans().get(this.zone())?.treatment);
  private readonly planned = computed(() => this.desk.zonePlans().get(this.zone())?.option);
  protected readonly left = computed(() => this.treatment() === 'leave');
  private readonly rows = computed((): readonly OptionRow[] => {
    const job = this.desk.job();
    if (!job) return [];
    const own = this.planned();
    // What is planned is told as the clock has it, as everywhere else.
    const options = zoneTreatments(job, this.zone()).map((option) =>
      own?.treatment === option.treatment ? { ...option, marring: own.marring } : option,
    );
    const chosen = options.find(({ treatment }) => treatment === this.treatment())?.cost ?? null;
    return [...options].sort((p, q) => p.cost - q.cost).map((option) => this.row(option, chosen));
  });
  /** The best on top. */
  protected readonly allowed = computed(() =>
    this.rows().filter(({ gates, fixed: byHand }) => gates.length === 0 || byHand),
  );
  protected readonly shut = computed(() =>
    this.rows().filter(({ gates, fixed: byHand }) => gates.length > 0 && !byHand),
  );

  private row(option: Option, chosen: number | null): OptionRow {
    const u = this.desk.units();
    const isChosen = option.treatment === this.treatment();
    const score = chosen === null || isChosen ? '' : ` · ${signed(option.cost - chosen)}`;
    return {
      treatment: option.treatment,
      name: treatmentName(option.treatment),
      fill: treatmentFill(option.treatment),
      chosen: isChosen,
      fixed: option.treatment === this.byHand(),
      says: `index ${indexText(option.marring.index)} · ${clock(option.usage.minutes * 60)}${score}`,
      gates: option.gates.map((gate) => gateSentence(gate, u)),
    };
  }

  protected fix(treatment: TreatmentId | null): void {
    const what = treatment ? treatmentName(treatment).toLowerCase() : 'left to the plan';
    this.desk.edit(`${this.name()}: ${what}`, (job) => fixTreatment(job, [this.zone()], treatment));
  }
}
