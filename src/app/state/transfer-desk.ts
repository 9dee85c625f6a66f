import { DOCUMENT, Injectable, inject, signal } from '@angular/core';
import { Store as State } from '@ngrx/store';
import { MessageService } from 'primeng/api';
import { countedText, unreadableText, importText } from '@esmero/messages';
import type { Encoding, Mapping, TableKind } from '@esmero/exchange';
import type { Choices, Ended, Foreign, LastImport, Review, Reviewed, TableReview, Transfer } from '@esmero/transfer';
import { deskActions, deskFeature } from './desk';
import { spanFrom } from './foreign-span';
import { today } from './today';
import { STORE, TABS } from './ports';
import { settingsActions } from './settings';
import { collectionActions } from './collection';
import { faultText } from './collection.effects';

/** What a long transfer is at. */
export interface Busy {
  readonly what: string;
  /** 0 to 1. */
  readonly share: number;
}

/** A file that could not be read, and why. */
export interface Refusal {
  readonly file: string;
  readonly headline: string;
  readonly details: readonly string[];
}

type Picker = (options: object) => Promise<FileSystemFileHandle>;

/** Files in and out, as signals: what is being done, what a file holds, and the last import. */
@Injectable({ providedIn: 'root' })
export class TransferDesk {
  private readonly state = inject(State);
  private readonly store = inject(STORE);
  private readonly tabs = inject(TABS);
  private readonly messages = inject(MessageService);
  private readonly window = inject(DOCUMENT).defaultView;
  private transfer: Promise<Transfer> | null = null;
  private openJob = this.state.selectSignal(deskFeature.selectJob);

  private readonly _busy = signal<Busy | null>(null);
  readonly busy = this._busy.asReadonly();
  private readonly _review = signal<{ readonly file: string; readonly review: Review } | null>(null);
  /** What a file holds beside what is here; waits for choices. */
  readonly review = this._review.asReadonly();
  private readonly _refusal = signal<Refusal | null>(null);
  readonly refusal = this._refusal.asReadonly();
  private readonly _last = signal<LastImport | null>(null);
  /** Can be taken back. */
  readonly last = this._last.asReadonly();

  private readonly _sealed = signal<File | null>(null);
  /** A file that waits for its passphrase. */
  readonly sealed = this._sealed.asReadonly();
  private readonly _backedUpAt = signal<number | null | undefined>(undefined);
  /** When the last backup was saved; null: never, undefined: not yet known. */
  readonly backedUpAt = this._backedUpAt.asReadonly();

  constructor() {
    void this.lookUp();
  }

  /** Looks a chosen file through. Every file gets a word, whatever is in it. */
  async open(file: File): Promise<void> {
    this._refusal.set(null);
    // What is not saved yet would look older than it is.
    this.state.dispatch(deskActions.flush());
    const { isSealed } = await import('@esmero/transfer');
    if (await isSealed(file)) return this._sealed.set(file);
    this.reviewed(
      file.name,
      await this.during(`Reading ${file.name}`, (transfer, progress) => transfer.review(file, progress)),
    );
  }

  /** Opens a file of another program; null where it was called off, or could not be. */
  async openForeign(file: File, encoding: Encoding | null): Promise<Foreign | null> {
    this._refusal.set(null);
    const answer = await this.during(`Reading ${file.name}`, (transfer, progress) =>
      transfer.openForeign(file, encoding, spanFrom(today()), progress),
    );
    return answer.kind === 'failed' || answer.kind === 'stopped' ? this.notRead(file.name, answer) : answer;
  }

  /** What the open table comes to; null where it was called off. */
  async lookAtTable(file: string, kind: TableKind, taken: Mapping, currency: string): Promise<TableReview | null> {
    const answer = await this.during(`Looking ${file} through`, (transfer, progress) =>
      transfer.lookAtTable(kind, taken, currency, progress),
    );
    return answer.kind === 'table' ? answer.review : this.notRead(file, answer);
  }

  /** What the open file of another program comes to waits for choices, like any import. */
  async reviewForeign(file: string): Promise<void> {
    this.state.dispatch(deskActions.flush());
    this.reviewed(
      file,
      await this.during(`Looking ${file} through`, (transfer, progress) => transfer.reviewForeign(progress)),
    );
  }

  private notRead(file: string, answer: Ended): null {
    if (answer.kind === 'failed') this._refusal.set({ file, headline: importText.unread(answer.message), details: [] });
    return null;
  }

  private reviewed(file: string, answer: Reviewed): void {
    if (answer.kind === 'review') this._review.set({ file, review: answer.review });
    else if (answer.kind === 'unreadable') this._refusal.set({ file, ...unreadableText(answer.why) });
    else this.notRead(file, answer);
  }

  /** @returns whether that was its passphrase */
  async unseal(passphrase: string): Promise<boolean> {
    const file = this._sealed();
    if (!file) return true;
    const { unsealed } = await import('@esmero/transfer');
    const plain = await unsealed(file, passphrase);
    if (!plain) return false;
    this._sealed.set(null);
    await this.open(new File([plain], file.name));
    return true;
  }

  leaveSealed(): void {
    this._sealed.set(null);
  }

  close(): void {
    this._review.set(null);
  }

  dismiss(): void {
    this._refusal.set(null);
  }

  /** Brings in what was chosen. */
  async bring(choices: Choices): Promise<void> {
    const reviewed = this._review();
    if (!reviewed) return;
    this._review.set(null);
    const done = await this.during('Bringing it in', (transfer, progress) =>
      transfer.apply(choices, reviewed.file, progress),
    );
    if (done.kind === 'stopped') return this.say('info', 'Import cancelled', importText.nothingChanged);
    if (done.kind !== 'done') return this.say('error', 'Not imported', importText.fault(faultText(done)));
    await this.followed();
    this.say('success', 'Imported', `${reviewed.file}: ${countedText(done) || 'nothing chosen'}.`);
    if (done.left.length > 0) this.say('warn', 'Some were left as they are', importText.leftAlone(done.left.length));
  }

  /** Takes the last import back. */
  async undo(): Promise<void> {
    const done = await this.during('Taking the import back', (transfer, progress) => transfer.undo(progress));
    if (done.kind !== 'done') return this.say('error', 'Not taken back', faultText(done));
    await this.followed();
    if (done.left.length > 0) this.say('warn', 'Import taken back', importText.takenBackBut(done.left.length));
    else this.say('success', 'Import taken back', importText.asBefore);
  }

  /**
   * All that is kept, in one file.
   * @param passphrase nobody opens it without; null for a file that everybody opens
   */
  async backup(passphrase: string | null = null): Promise<void> {
    const name = `esmero-${today()}.${passphrase === null ? 'zip' : 'esmero-sealed'}`;
    // What is to be sealed is written down only once it is.
    const to = passphrase === null ? await this.place(name) : null;
    if (to === 'called-off') return;
    const done = await this.during('Saving a backup', (transfer, progress) => transfer.backup(to, progress));
    if (done.kind === 'stopped') return this.say('info', 'Backup cancelled', 'No file was saved.');
    if (done.kind === 'failed') return this.say('error', 'No backup was saved', done.message);
    if (done.file)
      this.handOver(
        name,
        passphrase === null ? done.file : await (await import('@esmero/transfer')).sealed(done.file, passphrase),
      );
    const at = Date.now();
    await (await this.store).keepSetting('backup', { at });
    this._backedUpAt.set(at);
    this.say('success', 'Backup saved', `${name}: ${countedText(done)}.`);
  }

  /** Jobs, library, stock and pictures as plain JSON, for other programs. */
  async collection(name: string): Promise<void> {
    this._busy.set({ what: 'Writing the file', share: 0 });
    const file = await (await this.ready()).collection().finally(() => this._busy.set(null));
    this.handOver(name, file);
  }

  stop(): void {
    void this.transfer?.then((transfer) => transfer.stop());
  }

  private async lookUp(): Promise<void> {
    const { lastImport } = await import('@esmero/transfer');
    const store = await this.store;
    this._last.set(await lastImport(store).catch(() => null));
    const kept = (await store.setting('backup').catch(() => null)) as { readonly at?: unknown } | null | undefined;
    this._backedUpAt.set(typeof kept?.at === 'number' ? kept.at : null);
  }

  private ready(): Promise<Transfer> {
    this.transfer ??= this.store.then(async (store) => (await import('@esmero/transfer')).transferFor(store));
    return this.transfer;
  }

  private async during<T>(
    what: string,
    work: (transfer: Transfer, progress: (share: number) => void) => Promise<T>,
  ): Promise<T> {
    this._busy.set({ what, share: 0 });
    const progress = (share: number): void => {
      if (this._busy()) this._busy.set({ what, share });
    };
    try {
      return await work(await this.ready(), progress);
    } finally {
      this._busy.set(null);
    }
  }

  /** What is on screen, and in other tabs, follows at once. */
  private async followed(): Promise<void> {
    await this.lookUp();
    this.tabs.tell({ kind: 'everything-changed' });
    this.state.dispatch(collectionActions.load());
    this.state.dispatch(settingsActions.load());
    const job = this.openJob();
    if (job) this.state.dispatch(deskActions.savedElsewhere({ id: job.id, revision: Number.MAX_SAFE_INTEGER }));
  }

  /** Where the browser lets a file be chosen, it is written straight into it. */
  private async place(name: string): Promise<FileSystemFileHandle | null | 'called-off'> {
    const pick = (this.window as unknown as { readonly showSaveFilePicker?: Picker } | null)?.showSaveFilePicker;
    if (!pick) return null;
    try {
      return await pick.call(this.window, {
        suggestedName: name,
        types: [{ description: 'Esmero backup', accept: { 'application/zip': ['.zip'] } }],
      });
    } catch (error) {
      return error instanceof DOMException && error.name === 'AbortError' ? 'called-off' : null;
    }
  }

  private handOver(name: string, file: Blob): void {
    const link = document.createElement('a');
    link.href = URL.createObjectURL(file);
    link.download = name;
    link.click();
    // Revoked at once, a large file would not have begun.
    setTimeout(() => URL.revokeObjectURL(link.href), 60_000);
  }

  private say(severity: 'success' | 'info' | 'warn' | 'error', summary: string, detail: string): void {
    this.messages.add({
      severity,
      summary,
      detail,
      ...(severity === 'success' || severity === 'info' ? { life: 8000 } : { sticky: true }),
    });
  }
}
