import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { Button } from 'primeng/button';
import type { HandMove, RunRow } from '@esmero/core';
import { clock, howText, jobTitle, passHeading, passZones, ranges, roleName } from '@esmero/messages';
import { PassPictureComponent } from '../../ui/net/pass-picture.component';
import type { DrawnView } from '../../ui/net/view-layout';
import { treatmentFill } from '../../ui/net/zone-look';

const howName: Readonly<Record<HandMove['how'], string>> = {
  fresh: 'fresh from the pile',
  turned: 'turned to a clean side',
  same: 'the side that is up',
  demoted: 'taken up again for something dirtier',
};

/** One pass of the work order: what, where on the car, with which towels, how long. */
@Component({
  selector: 'esm-pass-card',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Button, PassPictureComponent],
  template: `
    <div class="top">
      <span class="no num">{{ row().number ?? '' }}</span>
      <h4 [title]="whole()">{{ title() }}</h4>
      @if (changes()) {
        <p-button
          icon="pi pi-ellipsis-v"
          size="small"
          severity="secondary"
          [text]="true"
          [ariaLabel]="'Change pass ' + row().number + ': ' + whole()"
          (onClick)="ask.emit($event)"
        />
      }
    </div>
    <div class="middle">
      <esm-pass-picture [views]="views()" [pass]="row()" [fill]="fill()" />
      <ul class="towels">
        @for (move of row().towels; track $index) {
          <li class="num" [attr.data-role]="move.role" [attr.data-how]="move.how" [title]="says(move)">
            <span aria-hidden="true">{{ move.towel }}</span><span class="sr-only">{{ says(move) }}</span>
          </li>
        }
      </ul>
    </div>
    <div class="foot">
      <span class="how">
        @if (row().worker > 0) {
          <strong class="second">2nd person</strong>&ngsp;
        }
        {{ how() }}</span
      >
      <strong class="num">{{ lasts() }}</strong>
    </div>
  `,
  styleUrl: './pass-card.component.css',
})
export class PassCardComponent {
  readonly row = input.required<RunRow>();
  readonly views = input.required<readonly DrawnView[]>();
  /** May be moved, joined or split. */
  readonly changes = input.required<boolean>();
  readonly ask = output<Event>();

  protected readonly title = computed(() =>
    this.row().number === null ? jobTitle(this.row()) : passHeading(this.row()),
  );
  protected readonly whole = computed(() => (this.row().number === null ? '' : passZones(this.row())));
  protected readonly how = computed(() => howText(this.row()));
  protected readonly lasts = computed(() => clock(this.row().handS));
  protected readonly fill = computed(() => this.row().treatments.map(treatmentFill)[0] ?? 'plain');

  protected says({ towel, role, sides, how, done }: HandMove): string {
    return `Towel ${towel}, ${roleName[role]}, ${sides.length > 1 ? 'sides' : 'side'} ${ranges(sides)}, ${howName[how]}${done ? ', done after this' : ''}`;
  }
}
