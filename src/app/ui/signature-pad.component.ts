import { ChangeDetectionStrategy, Component, input, output, signal } from '@angular/core';
import { ButtonDirective } from 'primeng/button';
import { InputText } from 'primeng/inputtext';
import type { Signature } from '@esmero/model';
import { dayAndTime } from '@esmero/messages';

const WIDTH = 300;
const HEIGHT = 100;

/** A box to sign in with a finger, a pen or the mouse; a typed name alone will do, too. */
@Component({
  selector: 'esm-signature-pad',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ButtonDirective, InputText],
  template: `
    @if (signed(); as signed) {
      <figure>
        <svg viewBox="0 0 ${WIDTH} ${HEIGHT}" role="img" [attr.aria-label]="'Signed by ' + signed.by"><path [attr.d]="signed.path" /></svg>
        <figcaption>{{ signed.by }}, {{ when() }} <button pButton type="button" class="no-print" severity="secondary" outlined (click)="changed.emit(null)">Sign again</button></figcaption>
      </figure>
    } @else {
      <div class="no-print">
        <svg
          class="pad"
          viewBox="0 0 ${WIDTH} ${HEIGHT}"
          role="img"
          aria-label="Box to sign in"
          #pad
          (pointerdown)="begin($event, pad)"
          (pointermove)="draw($event, pad)"
          (pointerup)="lift()"
          (pointercancel)="lift()"
        >
          <path class="line" d="M10 78H290" />
          <path [attr.d]="path() || 'M0 0'" />
        </svg>
        <form class="row" (submit)="sign(name); $event.preventDefault()">
          <label class="row">
            Name
            <input pInputText required maxlength="160" autocomplete="off" #name />
          </label>
          <button pButton type="submit" severity="secondary" outlined>Sign</button>
          <button pButton type="button" severity="secondary" outlined [disabled]="path() === ''" (click)="path.set('')">Clear</button>
        </form>
      </div>
    }
  `,
  styles: `
    :host {
      display: block;
    }
    figure {
      margin: 0;
    }
    svg {
      width: 100%;
      max-width: 26rem;
      display: block;
    }
    .pad {
      border: 1px solid var(--line);
      border-radius: 6px;
      background: var(--card);
      touch-action: none;
      cursor: crosshair;
      margin-bottom: 0.4rem;
    }
    path {
      fill: none;
      stroke: var(--ink);
      stroke-width: 2;
      stroke-linecap: round;
      stroke-linejoin: round;
    }
    .line {
      stroke: var(--line);
      stroke-width: 1;
    }
  `,
})
export class SignaturePadComponent {
  readonly signed = input.required<Signature | null>();
  readonly changed = output<Pick<Signature, 'by' | 'path'> | null>();

  protected readonly path = signal('');
  private drawing = false;

  protected when(): string {
    return dayAndTime(this.signed()!.at);
  }

  protected begin(event: PointerEvent, pad: Element): void {
    this.drawing = true;
    pad.setPointerCapture?.(event.pointerId);
    this.add('M', event, pad);
  }

  protected draw(event: PointerEvent, pad: Element): void {
    if (this.drawing) this.add('L', event, pad);
  }

  protected lift(): void {
    this.drawing = false;
  }

  protected sign(name: HTMLInputElement): void {
    const by = name.value.trim();
    if (by) this.changed.emit({ by, path: this.path() || 'M0 0' });
  }

  private add(letter: 'M' | 'L', { clientX, clientY }: PointerEvent, pad: Element): void {
    const { left, top, width, height } = pad.getBoundingClientRect();
    const x = ((clientX - left) / (width || 1)) * WIDTH;
    const y = ((clientY - top) / (height || 1)) * HEIGHT;
    this.path.update((path) => `${path}${letter}${x.toFixed(1)} ${y.toFixed(1)}`);
  }
}
