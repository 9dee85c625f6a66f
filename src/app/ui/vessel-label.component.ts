import { ChangeDetectionStrategy, Component, DOCUMENT, computed, effect, inject, input, signal } from '@angular/core';
import { ButtonDirective } from 'primeng/button';
import { partsText } from '@esmero/messages';
import { type VesselLabel, labelLine } from '@esmero/papers';
import { codeOf } from './qr-code';

/** A label for a vessel, on screen and on paper, with the same words in a QR code. */
@Component({
  selector: 'esm-vessel-label',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ButtonDirective],
  template: `
    <div class="vessel-label">
      <div>
        <strong class="what">{{ label().content }}</strong>
        <p class="ratio num">{{ label().ratio }}</p>
        <p>{{ label().product }}</p>
        <p class="num">{{ label().vessel }} · mixed {{ label().date }}</p>
        <p class="care">
          {{ wording.label }}
        </p>
      </div>
      @if (code(); as code) {
        <svg
          [attr.viewBox]="'-2 -2 ' + (code.size + 4) + ' ' + (code.size + 4)"
          role="img"
          [attr.aria-label]="'QR code: ' + text()"
        >
          <rect x="-2" y="-2" [attr.width]="code.size + 4" [attr.height]="code.size + 4" fill="#fff" />
          <path [attr.d]="code.path" fill="#000" />
        </svg>
      }
    </div>
    <button pButton type="button" class="no-print" severity="secondary" outlined (click)="print()">
      Print this label
    </button>
  `,
  styles: `
    .vessel-label {
      display: grid;
      grid-template-columns: 1fr 7rem;
      gap: 0.75rem;
      background: #fff;
      color: #000;
      border: 2px solid #000;
      border-radius: 6px;
      padding: 0.6rem 0.8rem;
      max-width: 26rem;
      margin-bottom: 0.5rem;
    }
    p {
      margin: 0 0 0.2rem;
    }
    .what {
      font-size: 1.25rem;
    }
    .ratio {
      font-size: 1.1rem;
      font-weight: 600;
    }
    .care {
      font-size: 0.75rem;
      line-height: 1.3;
    }
    svg {
      width: 7rem;
      align-self: center;
    }
  `,
})
export class VesselLabelComponent {
  protected readonly wording = partsText;
  readonly label = input.required<VesselLabel>();

  private readonly document = inject(DOCUMENT);
  protected readonly code = signal<Awaited<ReturnType<typeof codeOf>> | null>(null);
  protected readonly text = computed(() => labelLine(this.label()));

  constructor() {
    effect(() => {
      const text = this.text();
      void codeOf(text).then((code) => {
        if (this.text() === text) this.code.set(code);
      });
    });
  }

  /** Everything else stays off the paper while the label is printed. */
  protected print(): void {
    const root = this.document.documentElement;
    root.classList.add('prints-label');
    this.document.defaultView?.print();
    root.classList.remove('prints-label');
  }
}
