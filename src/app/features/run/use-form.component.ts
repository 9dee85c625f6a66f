import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { InputText } from 'primeng/inputtext';
import { type Counted, type Plan, type TowelRole, expected, noteUse, towelRoles, useOf } from '@esmero/core';
import { contentName, roleName } from '@esmero/messages';
import { JobDesk } from '../../state/job-desk';

const MOST_ML = 100_000;
const MOST_TOWELS = 10_000;

/** What is left in the vessels and how many towels were opened, counted when the run is over. */
@Component({
  selector: 'esm-use-form',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [InputText],
  template: `
    <h3>What was used</h3>
    <form class="fields" #form (submit)="note(form); $event.preventDefault()">
      @for (field of fields(); track field.name) {
        <label class="field">
          {{ field.label }}
          <input pInputText class="num" type="number" min="0" [max]="field.most" step="1" required inputmode="numeric" [name]="field.name" [value]="field.value" />
        </label>
      }
      <button type="submit" class="chip big">{{ noted() ? 'Counted; count again' : 'Note it' }}</button>
    </form>
    @if (noted()) {
      <p class="soft" role="status">Noted in the log. What many runs say is offered to the next plan in Method.</p>
    }
  `,
  styles: `
    :host {
      display: block;
    }
    input {
      min-height: 3rem;
    }
    .big {
      min-height: 3.5rem;
      align-self: end;
    }
  `,
})
export class UseFormComponent {
  private readonly desk = inject(JobDesk);

  protected readonly noted = computed(() => (this.desk.job()?.run?.used ?? null) !== null);
  private readonly usual = computed((): Counted | null => {
    const plan = this.desk.plan();
    return plan ? expected(plan) : null;
  });
  protected readonly fields = computed(() => {
    const [plan, usual, used] = [this.desk.plan(), this.usual(), this.desk.job()?.run?.used];
    if (!plan || !usual) return [];
    const opened = (role: TowelRole): number => used?.towels.find((one) => one.role === role)?.opened ?? usual.opened[role] ?? 0;
    return [
      ...plan.mix.mixes
        .filter(({ content, productName }) => productName && content !== 'rinse')
        .map(({ content, vessel }) => ({ name: `ml.${content}`, label: `${contentName[content]} left in ${vessel.name}, mL`, value: this.leftOf(plan, content), most: MOST_ML })),
      ...towelRoles
        .filter((role) => (usual.opened[role] ?? 0) > 0 || opened(role) > 0)
        .map((role) => ({ name: `towels.${role}`, label: `${roleName[role][0]!.toUpperCase()}${roleName[role].slice(1)} opened`, value: opened(role), most: MOST_TOWELS })),
    ];
  });

  /** As counted before, or as planned. */
  private leftOf({ mix }: Plan, content: string): number {
    const planned = this.usual()?.leftMl[content] ?? 0;
    const used = this.desk.job()?.run?.used?.mixes.find(({ purpose }) => purpose === content);
    const made = mix.mixes.find((one) => one.content === content)?.fills.reduce((sum, { totalMl }) => sum + totalMl, 0) ?? 0;
    return used ? Math.round(made - used.usedMl) : planned;
  }

  protected note(form: HTMLFormElement): void {
    const [plan, run] = [this.desk.plan(), this.desk.job()?.run];
    if (!plan || !run || !form.reportValidity()) return;
    const given = [...new FormData(form)].map(([name, value]) => [name, Number(value)] as const);
    const of = (start: string) => Object.fromEntries(given.flatMap(([name, value]) => (name.startsWith(start) ? [[name.slice(start.length), value]] : [])));
    this.desk.edit('What was used', (job) => noteUse(job, useOf(plan, run, { leftMl: of('ml.'), opened: of('towels.') })));
  }
}
