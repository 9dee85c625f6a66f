import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { type Visit } from '@esmero/core';
import { runText, stageText, visitStageName, visitText } from '@esmero/messages';

/** A visit as a bar: each stage as long as it is planned, the one under way marked. */
@Component({
  selector: 'esm-visit',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <p class="soft num">{{ told() || planned() }}</p>
    <ol [attr.aria-label]="planned()">
      @for (one of stages(); track one.stage) {
        <li
          [style.flex-grow]="one.plannedS"
          [attr.data-state]="one.state"
          [attr.aria-current]="one.state === 'now' ? 'step' : null"
        >
          <i aria-hidden="true"></i><span>{{ one.name }}</span
          ><small class="num">{{ one.text }}</small>
        </li>
      }
    </ol>
  `,
  styles: `
    p {
      margin: 0 0 0.3rem;
    }
    ol {
      display: flex;
      gap: 0.3rem;
      list-style: none;
      margin: 0;
      padding: 0;
    }
    li {
      display: grid;
      flex: 1 1 5.4rem;
      align-content: start;
      min-width: 0;
      font-size: 0.9rem;
      line-height: 1.25;
    }
    i {
      height: 0.7rem;
      border-radius: 999px;
      margin-bottom: 0.25rem;
      background: var(--line);
    }
    li[data-state='done'] i {
      background: var(--sea);
    }
    li[data-state='now'] i {
      background: #f4b44a;
    }
    li[data-state='now'] span {
      font-weight: 700;
    }
    small {
      color: var(--ink-soft);
    }
  `,
})
export class VisitComponent {
  readonly visit = input.required<Visit>();

  protected readonly planned = computed(() => runText.visit(stageText(this.visit().plannedS)));
  protected readonly told = computed(() => visitText(this.visit()));
  protected readonly stages = computed(() =>
    this.visit().stages.map((one) => ({
      ...one,
      name: visitStageName[one.stage],
      text:
        one.tookS !== null && one.state === 'done'
          ? `${stageText(one.tookS)} of ${stageText(one.plannedS)}`
          : stageText(one.plannedS),
    })),
  );
}
