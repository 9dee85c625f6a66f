import { ChangeDetectionStrategy, Component, DOCUMENT, inject, input, signal } from '@angular/core';
import { Button } from 'primeng/button';
import { partsText } from '@esmero/messages';
import { type Paper, pdfOf } from '@esmero/papers';
import { downloadBlob } from './download';

/** A paper as PDF: saved, or handed to another program where the device can. */
@Component({
  selector: 'esm-pdf',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Button],
  template: `
    @if (busy(); as work) {
      <p-button
        label="Stop"
        icon="pi pi-spinner pi-spin"
        severity="secondary"
        [outlined]="true"
        (onClick)="work.abort()"
      />
    } @else {
      <p-button
        [label]="label()"
        icon="pi pi-file-pdf"
        severity="secondary"
        [outlined]="true"
        (onClick)="make(false)"
      />
      @if (canShare) {
        <p-button label="Share" icon="pi pi-share-alt" severity="secondary" [outlined]="true" (onClick)="make(true)" />
      }
    }
    @if (problem(); as why) {
      <p class="note stop" role="alert">{{ wording.noPdf(why) }}</p>
    }
  `,
  styles: `
    :host {
      display: flex;
      flex-wrap: wrap;
      gap: 0.5rem;
    }
    .note {
      margin: 0;
    }
  `,
})
export class PdfComponent {
  /** Asked for when the button is pressed, so that nothing is laid out in vain. */
  readonly paper = input.required<() => Paper>();
  /** Of the file, without its ending. */
  readonly name = input.required<string>();

  readonly label = input('PDF');

  private readonly document = inject(DOCUMENT);
  protected readonly wording = partsText;
  protected readonly busy = signal<AbortController | null>(null);
  protected readonly problem = signal<string | null>(null);
  protected readonly canShare =
    this.document.defaultView?.navigator.canShare?.({ files: [new File([], 'a.pdf', { type: 'application/pdf' })] }) ??
    false;

  protected async make(share: boolean): Promise<void> {
    const work = new AbortController();
    this.busy.set(work);
    this.problem.set(null);
    try {
      const blob = await pdfOf(this.paper()(), this.document.baseURI, work.signal);
      const name = `${this.name()}.pdf`;
      if (share)
        await this.document.defaultView?.navigator.share({ files: [new File([blob], name, { type: blob.type })] });
      else downloadBlob(name, blob);
    } catch (error) {
      // Whoever stops it, or closes the sheet to share with, knows.
      const isStopped = work.signal.aborted || (error instanceof DOMException && error.name === 'AbortError');
      if (!isStopped) this.problem.set(error instanceof Error ? error.message : String(error));
    } finally {
      this.busy.set(null);
    }
  }
}
