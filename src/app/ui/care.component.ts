import { ChangeDetectionStrategy, Component, computed, forwardRef } from '@angular/core';
import { FormsModule, NG_VALUE_ACCESSOR } from '@angular/forms';
import { Select } from 'primeng/select';
import { type Care, type DressTime, type PaintCare, careReaches, noCare, paintCares } from '@esmero/model';
import { careReachName, careText } from '@esmero/messages';
import { Control } from './control';

type Paint = Care['paint'];
const keyOf = (paint: Paint): string => (paint ? `${paint.use}/${paint.on}` : 'none');

let cares = 0;

/** What is put onto a car once it is clean: its paint, its trim, its tyres. */
@Component({
  selector: 'esm-care',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [FormsModule, Select],
  providers: [{ provide: NG_VALUE_ACCESSOR, useExisting: forwardRef(() => CareComponent), multi: true }],
  template: `
    <div class="field paint">
      <span [id]="id + 'paint'">On the paint</span>
      <p-select
        [options]="paints"
        optionValue="value"
        optionLabel="label"
        [ariaLabelledBy]="id + 'paint'"
        [disabled]="disabled()"
        [ngModel]="paint()"
        (ngModelChange)="takePaint($event)"
        appendTo="body"
        [fluid]="true"
      />
    </div>
    <div class="field">
      <span [id]="id + 'tyres'">{{ words.tyres }}</span>
      <p-select
        [options]="tyreTimes"
        optionValue="value"
        optionLabel="label"
        [ariaLabelledBy]="id + 'tyres'"
        [disabled]="disabled()"
        [ngModel]="care().tyres ?? 'none'"
        (ngModelChange)="takeTyres($event)"
        appendTo="body"
        [fluid]="true"
      />
    </div>
    <div class="field">
      <span [id]="id + 'trim'">{{ words.trim }}</span>
      <p-select
        [options]="trims"
        optionValue="value"
        optionLabel="label"
        [ariaLabelledBy]="id + 'trim'"
        [disabled]="disabled()"
        [ngModel]="care().trim"
        (ngModelChange)="put({ trim: $event })"
        appendTo="body"
        [fluid]="true"
      />
    </div>
  `,
  styles: `
    :host {
      display: grid;
      grid-template-columns: repeat(auto-fit, minmax(min(100%, 11rem), 1fr));
      gap: 0.6rem;
      flex: 1;
    }
  `,
})
export class CareComponent extends Control<Care> {
  protected readonly id = `care-${++cares}-`;
  protected readonly words = careText;
  protected readonly care = computed(() => this.entered() ?? noCare);
  protected readonly paint = computed(() => keyOf(this.care().paint));
  protected readonly paints = [
    { value: 'none', label: careText.nothing },
    ...paintCares.flatMap((use: PaintCare) =>
      careReaches.map((on) => ({ value: keyOf({ use, on }), label: careReachName(use, on) })),
    ),
  ];
  protected readonly tyreTimes = [
    { value: 'none', label: careText.nothing },
    { value: 'now', label: careText.dressNow },
    { value: 'after-drive', label: careText.afterDrive },
  ];
  protected readonly trims = [
    { value: false, label: careText.nothing },
    { value: true, label: careText.dressTrim },
  ];

  protected takePaint(key: string): void {
    const [use, on] = key.split('/');
    this.put({ paint: key === 'none' ? null : ({ use, on } as Paint) });
  }

  protected takeTyres(when: DressTime | 'none'): void {
    this.put({ tyres: when === 'none' ? null : when });
  }

  protected put(care: Partial<Care>): void {
    this.take({ ...this.care(), ...care });
  }
}
