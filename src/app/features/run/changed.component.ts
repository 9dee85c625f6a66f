import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { InputText } from 'primeng/inputtext';
import { type TowelRole, celsius, towelOut, towelRoles, withChange } from '@esmero/core';
import { roleName } from '@esmero/messages';
import { JobDesk } from '../../state/job-desk';

const COLDEST_C = -40;
const HOTTEST_C = 110;

/** What turns out otherwise beside the car: each tap plans the rest again, and can be undone. */
@Component({
  selector: 'esm-changed',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [InputText],
  template: `
    <details>
      <summary>Something has changed</summary>
      <div class="row">
        @for (role of roles(); track role) {
          <button type="button" class="chip big" (click)="out(role)">One of the {{ roleName[role] }} is out</button>
        }
      </div>
      <div class="row">
        <button type="button" class="chip big" (click)="people()">{{ alone() ? 'A second person came' : 'The second person left' }}</button>
        <label class="row">
          Panels read, °C
          <input pInputText class="num" type="number" min="${COLDEST_C}" max="${HOTTEST_C}" step="1" #reading (change)="panels(reading)" />
        </label>
      </div>
      <p class="soft">The rest is planned again, and what is done stays done. Soil that turns out otherwise is painted in Walk-round.</p>
    </details>
  `,
  styles: `
    :host {
      display: block;
    }
    summary {
      min-height: 3.5rem;
      align-content: center;
      cursor: pointer;
      font-size: 1.1rem;
    }
    .big {
      min-height: 3.5rem;
    }
    .row + .row {
      margin-top: 0.5rem;
    }
    input {
      width: 5.5rem;
      min-height: 3.5rem;
    }
  `,
})
export class ChangedComponent {
  private readonly desk = inject(JobDesk);
  protected readonly roleName = roleName;

  /** Roles of which a towel is in use. */
  protected readonly roles = computed((): readonly TowelRole[] => {
    const used = new Set(this.desk.plan()?.towels.map(({ role }) => role));
    return towelRoles.filter((role) => used.has(role));
  });
  protected readonly alone = computed(() => this.desk.job()?.site.workers === 1);

  protected out(role: TowelRole): void {
    this.desk.edit(`One of the ${roleName[role]} is out`, (job) => towelOut(job, role));
  }

  protected people(): void {
    const workers = this.alone() ? 2 : 1;
    this.desk.edit(workers === 2 ? 'A second person came' : 'The second person left', (job) => ({ ...job, site: { ...job.site, workers } }));
  }

  protected panels(field: HTMLInputElement): void {
    const panelC = field.valueAsNumber;
    if (panelC >= COLDEST_C && panelC <= HOTTEST_C)
      this.desk.edit(`Panels at ${panelC} °C`, (job) => withChange(job, { code: 'cool-panels', panelC: celsius(panelC) }));
    field.value = '';
  }
}
