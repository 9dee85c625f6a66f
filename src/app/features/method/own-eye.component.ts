import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { ButtonDirective } from 'primeng/button';
import { eyeCurve, triesOf, usesEye, withEye, withoutEye } from '@esmero/core';
import { practiceText } from '@esmero/messages';
import { EyeDesk } from '../../state/eye-desk';
import { JobDesk } from '../../state/job-desk';

/** What practice has shown of one's own eye, offered to this plan; nothing of it is used unasked. */
@Component({
  selector: 'esm-own-eye',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ButtonDirective],
  template: `
    @if (curve().tries > 0 || used()) {
      <h3>From practice</h3>
      <p class="num">{{ says() }}</p>
      @if (used()) {
        <p>
          {{ wording.eyeUsed }}
          <button pButton type="button" severity="secondary" outlined (click)="forget()">Ignore my eye</button>
        </p>
      } @else {
        <button pButton type="button" severity="secondary" outlined (click)="use()">Plan with my eye</button>
      }
    }
  `,
  styles: `
    :host {
      display: block;
    }
  `,
})
export class OwnEyeComponent {
  protected readonly wording = practiceText;
  private readonly desk = inject(JobDesk);
  private readonly eye = inject(EyeDesk);

  protected readonly curve = computed(() => eyeCurve(triesOf(this.eye.sessions(), this.eye.person(), 'panels')));
  protected readonly says = computed(() => practiceText.curve(this.curve()));
  protected readonly used = computed(() => {
    const job = this.desk.job();
    return job !== null && usesEye(job);
  });

  protected use(): void {
    this.desk.edit('Planned with my eye', (job) => withEye(job, this.curve()));
  }

  protected forget(): void {
    this.desk.edit('Eye ignored', withoutEye);
  }
}
