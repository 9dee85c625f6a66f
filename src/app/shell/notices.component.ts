import { ChangeDetectionStrategy, Component, DestroyRef, computed, effect, inject, untracked } from '@angular/core';
import { Store as State } from '@ngrx/store';
import { Button } from 'primeng/button';
import { noticeAction, noticeText } from '@esmero/messages';
import { deskFeature } from '../state/desk';
import { type NoticeKind, Notices } from '../state/notices';
import { SpaceDesk } from '../state/space';

const grave: readonly NoticeKind[] = ['new-version', 'newer-data', 'lost'];

/** What concerns the page as a whole, one line each, with the one thing to do about it. */
@Component({
  selector: 'esm-notices',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Button],
  template: `
    @for (one of all(); track one.kind) {
      <div
        class="note bar"
        [class.warn]="one.grave"
        [attr.role]="one.grave ? 'alert' : 'status'"
        [attr.data-notice]="one.kind"
      >
        <span>{{ one.text }}</span>
        @if (one.action) {
          <p-button [label]="one.action" size="small" (onClick)="notices.renew()" />
        }
        <p-button
          icon="pi pi-times"
          size="small"
          severity="secondary"
          [text]="true"
          ariaLabel="Hide this notice"
          (onClick)="notices.dismiss(one.kind)"
        />
      </div>
    }
    @if (space.nearlyFull()) {
      <div class="note warn bar" role="alert" data-notice="nearly-full">
        <span>{{ full }}</span>
      </div>
    }
  `,
  styles: `
    .bar {
      display: flex;
      gap: 0.75rem;
      align-items: center;
      margin: 0;
      padding: 0.3rem 1rem;
      border-radius: 0;
    }
    span {
      flex: 1;
    }
  `,
})
export class NoticesComponent {
  protected readonly notices = inject(Notices);
  protected readonly space = inject(SpaceDesk);
  protected readonly full = noticeText['nearly-full'];
  protected readonly all = computed(() =>
    this.notices
      .all()
      .map((kind) => ({ kind, text: noticeText[kind], action: noticeAction[kind], grave: grave.includes(kind) })),
  );

  constructor() {
    inject(DestroyRef).onDestroy(this.space.watch());
    void this.notices.keepForOffline();
    const desk = inject(State).selectSignal(deskFeature.selectDeskState);
    // From the first change of one's own there is something to lose.
    effect(() => {
      if (desk().past.length > 0) untracked(() => void this.space.makeLasting());
    });
  }
}
