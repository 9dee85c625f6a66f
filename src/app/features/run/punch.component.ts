import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { ButtonDirective } from 'primeng/button';
import { Checkbox } from 'primeng/checkbox';
import { InputText } from 'primeng/inputtext';
import { putPunch } from '@esmero/core';
import type { PunchItem } from '@esmero/model';
import { zoneName, runText } from '@esmero/messages';
import { NOW } from '../../state/clock';
import { JobDesk } from '../../state/job-desk';
import { ZoneInView } from '../../ui/net/zone-in-view';

/** What the second look finds, and what has to wait for after the drive: noted, and ticked off when it is done. */
@Component({
  selector: 'esm-punch',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ButtonDirective, Checkbox, FormsModule, InputText],
  template: `
    <h3>For later</h3>
    @if (items().length > 0) {
      <ul>
        @for (item of items(); track item.id) {
          <li>
            <p-checkbox
              [binary]="true"
              size="large"
              [inputId]="item.id"
              [ngModel]="item.done"
              (ngModelChange)="tick(item)"
            />
            <label [for]="item.id">{{ item.zone ? zoneName(item.zone) + ': ' : '' }}{{ item.text }}</label>
          </li>
        }
      </ul>
    }
    <form class="row" (submit)="add(text); $event.preventDefault()">
      <label class="row grow">
        {{ where() }}
        <input pInputText maxlength="500" required #text [placeholder]="wording.laterLike" />
      </label>
      <button pButton type="submit" class="big" severity="secondary" outlined>For later</button>
    </form>
  `,
  styles: `
    :host {
      display: block;
    }
    ul {
      list-style: none;
      margin: 0 0 0.5rem;
      padding: 0;
    }
    label {
      display: flex;
      gap: 0.6rem;
      align-items: center;
      min-height: 3.5rem;
    }
    .grow {
      flex: 1 1 14rem;
    }
    li {
      display: flex;
      gap: 0.7rem;
      align-items: center;
    }
    form input {
      flex: 1;
      min-width: 0;
      min-height: 3.5rem;
    }
    .big {
      min-height: 3.5rem;
    }
  `,
})
export class PunchComponent {
  protected readonly wording = runText;
  private readonly desk = inject(JobDesk);
  private readonly view = inject(ZoneInView);
  private readonly now = inject(NOW);
  protected readonly zoneName = zoneName;

  protected readonly items = computed(() => this.desk.job()?.run?.punch ?? []);
  /** The zone that was pressed on the car, or none in particular. */
  protected readonly where = computed(() => {
    const id = this.view.current();
    return id ? zoneName(id) : 'The car';
  });

  protected add(field: HTMLInputElement): void {
    const text = field.value.trim();
    if (!text) return;
    this.put('Noted for later', { id: `later-${this.now()}`, text, zone: this.view.current(), done: false });
    field.value = '';
  }

  protected tick(item: PunchItem): void {
    this.put(item.done ? 'Not done yet' : 'Done later', { ...item, done: !item.done });
  }

  private put(cause: string, item: PunchItem): void {
    this.desk.edit(cause, (job) => putPunch(job, item));
  }
}
