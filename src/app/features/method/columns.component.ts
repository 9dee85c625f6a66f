import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { Button } from 'primeng/button';
import { type Alternative, type BlockedZone, setChoices } from '@esmero/core';
import type { VehicleMethod, ZoneId } from '@esmero/model';
import {
  type Units,
  figureValue,
  gateSentence,
  indexText,
  methodName,
  shortageSentence,
  zoneList,
  zoneName,
  methodText,
} from '@esmero/messages';
import { JobDesk } from '../../state/job-desk';
import { MethodMarkComponent } from '../../ui/method-mark.component';
import { ZoneInView } from '../../ui/net/zone-in-view';

interface Column {
  readonly method: VehicleMethod;
  readonly name: string;
  readonly chosen: boolean;
  readonly asked: boolean;
  readonly can: boolean;
  readonly rows: readonly (readonly [label: string, value: string])[];
  /** Why it cannot be, or why there is nothing to count. */
  readonly words: readonly string[];
  readonly zones: readonly ZoneId[];
}

/** What stands in the way on most panels, with where. */
function blockedBy(blocked: readonly BlockedZone[], u: Units): readonly string[] {
  if (blocked.length === 0) return [];
  const first = blocked[0]!.gates.at(0)?.gates[0];
  return [
    `Ruled out: ${zoneList(
      blocked.map(({ zoneId }) => zoneId),
      2,
    )}.`,
    ...(first ? [gateSentence(first, u)] : []),
  ];
}

/** The methods side by side, figure beside figure; each is taken at a press. */
@Component({
  selector: 'esm-method-columns',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Button, MethodMarkComponent],
  template: `
    @for (column of columns(); track column.method) {
      <article
        [class.chosen]="column.chosen"
        [class.cannot]="!column.can"
        [attr.data-method]="column.method"
        (pointerenter)="view.light(column.zones)"
        (pointerleave)="view.light([])"
      >
        <h3>
          <esm-method-mark [method]="column.method" />{{ column.name }}
          @if (column.chosen) {
            <span class="tag">the plan</span>
          }
        </h3>
        @for (row of column.rows; track row[0]) {
          <p class="figure">
            <span>{{ row[0] }}</span><strong class="num">{{ row[1] }}</strong>
          </p>
        }
        @if (column.words.length > 0) {
          <div class="words">
            @for (one of column.words; track one) {
              <p>{{ one }}</p>
            }
          </div>
        }
        <p-button
          size="small"
          [label]="column.asked ? 'Let the plan choose' : 'Use this method'"
          [ariaLabel]="(column.asked ? 'Let the plan choose instead of ' : 'Use this method: ') + column.name"
          severity="secondary"
          [outlined]="true"
          [fluid]="true"
          [disabled]="!column.can && !column.asked"
          (onClick)="ask(column.method)"
        />
      </article>
    }
  `,
  styleUrl: './columns.component.css',
  host: { '[style.--methods]': 'columns().length' },
})
export class MethodColumnsComponent {
  private readonly desk = inject(JobDesk);
  protected readonly view = inject(ZoneInView);

  protected readonly columns = computed(() => (this.desk.plan()?.alternatives ?? []).map((one) => this.column(one)));

  private column({ method, outcome }: Alternative): Column {
    const u = this.desk.units();
    const base = {
      method,
      name: methodName[method],
      chosen: this.desk.plan()?.method === method,
      asked: this.desk.job()?.choices.method === method,
      can: false,
      rows: [],
      words: [],
      zones: [],
    };
    switch (outcome.kind) {
      case 'feasible': {
        const { totals, worst } = outcome;
        return {
          ...base,
          can: true,
          rows: [
            ['Time', figureValue(totals.minutes, u)],
            ['Water', figureValue(totals.litres, u)],
            ['Towels', figureValue(totals.towels, u)],
            ['Mean index', figureValue(totals.index, u)],
            ['Worst', worst ? `${indexText(worst.index)}, ${zoneName(worst.zoneId)}` : ''],
          ],
        };
      }
      case 'blocked':
        return {
          ...base,
          zones: outcome.blocked.map(({ zoneId }) => zoneId),
          words: [
            ...blockedBy(outcome.blocked, u),
            ...outcome.missing.map((gate) => gateSentence(gate, u)),
            ...outcome.shortages.map((shortage) => shortageSentence(shortage, u)),
          ],
        };
      case 'collapses':
        return { ...base, words: [methodText.gainsNothing(methodName[outcome.into].toLowerCase())] };
      case 'not-today':
        return { ...base, can: true, words: [methodText.untouched] };
    }
  }

  protected ask(method: VehicleMethod): void {
    const asked = this.desk.job()?.choices.method === method;
    this.desk.edit(asked ? 'Method left to the plan' : `${methodName[method]} asked for`, (job) =>
      setChoices(job, { method: asked ? 'auto' : method }),
    );
  }
}
