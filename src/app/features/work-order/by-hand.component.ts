import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { Button } from 'primeng/button';
import { dropPassChange, setChoices } from '@esmero/core';
import type { PassChange } from '@esmero/model';
import { notChangedText, passChangeText } from '@esmero/messages';
import { JobDesk } from '../../state/job-desk';

/** Passes that were changed by hand, whether each change holds, and the way back. */
@Component({
  selector: 'esm-by-hand',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Button],
  template: `
    @if (changes().length > 0) {
      <h3>Changed by hand</h3>
      <ul>
        @for (one of changes(); track one.change) {
          <li [class.not]="one.not">
            <span>
              {{ one.text }}.
              @if (one.not) {
                &ngsp;<strong>Not done: {{ one.not }}</strong>
              }
            </span>
            <p-button
              label="Take back"
              [ariaLabel]="'Take back: ' + one.text"
              icon="pi pi-undo"
              size="small"
              severity="secondary"
              [text]="true"
              (onClick)="drop(one.change)"
            />
          </li>
        }
      </ul>
      @if (changes().length > 1) {
        <p-button label="Take all back" size="small" severity="secondary" (onClick)="dropAll()" />
      }
    }
  `,
  styles: `
    ul {
      list-style: none;
      margin: 0;
      padding: 0;
    }
    li {
      display: flex;
      align-items: center;
      justify-content: space-between;
      gap: 0.6rem;
      border-bottom: 1px solid var(--line);
    }
    .not strong {
      color: var(--rust);
      font-weight: 600;
    }
  `,
})
export class ByHandComponent {
  private readonly desk = inject(JobDesk);

  protected readonly changes = computed(() => {
    const refused = this.desk.plan()?.timeline.refused ?? [];
    const same = (p: PassChange, q: PassChange): boolean => JSON.stringify(p) === JSON.stringify(q);
    return (this.desk.job()?.choices.passes ?? []).map((change) => {
      const why = refused.find((one) => same(one.change, change))?.why;
      return { change, text: passChangeText(change), not: why ? notChangedText[why] : '' };
    });
  });

  protected drop(change: PassChange): void {
    this.desk.edit(`Taken back: ${passChangeText(change)}`, (job) => dropPassChange(job, change));
  }

  protected dropAll(): void {
    this.desk.edit('Passes as planned', (job) => setChoices(job, { passes: [] }));
  }
}
