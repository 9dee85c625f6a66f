import { signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { Store as State } from '@ngrx/store';
import { ConfirmationService } from 'primeng/api';
import { describe, expect, it, vi } from 'vitest';
import { settingsFeature } from '../../state/settings';
import { SpaceDesk } from '../../state/space';
import { TransferDesk } from '../../state/transfer-desk';
import { pressable } from '../../testing/pressable';
import { show } from '../../testing/show';
import { SettingsPage } from './settings.page';

/** One of the answers to a question. */
const answer = (element: HTMLElement, question: string, text: string): HTMLElement =>
  pressable(element.querySelector<HTMLElement>(`esm-choice [aria-label="${question}"]`)!, text)!;

describe('settings', () => {
  it('change how the application speaks, measures, looks and sounds, one by one', async () => {
    const { element, settle } = await show(SettingsPage);
    const now = TestBed.inject(State).selectSignal(settingsFeature.selectSettingsState);
    const before = now();
    const asked = [
      ['English', 'American', { english: 'us' }],
      ['Units', 'US', { units: 'us' }],
      ['Theme', 'Dark', { theme: 'dark' }],
      ['Read the next pass aloud', 'The pass', { speech: 'short' }],
      ['A tone', 'On', { sound: true }],
    ] as const;
    let expected: object = before;
    for (const [question, text, change] of asked) {
      answer(element, question, text).click();
      await settle();
      expected = { ...expected, ...change };
      expect(now()).toEqual(expected);
      expect(answer(element, question, text).getAttribute('aria-pressed')).toBe('true');
    }
  });

  it('lead to a backup, and to one that needs a passphrase only where the browser can encrypt', async () => {
    const { element, press } = await show(SettingsPage);
    const backup = vi.spyOn(TestBed.inject(TransferDesk), 'backup').mockResolvedValue(undefined);
    await press('Save a backup');
    expect(backup).toHaveBeenCalledOnce();
    const sealed = pressable(element, 'Backup with a passphrase') as HTMLButtonElement;
    expect(sealed.disabled).toBe(!window.isSecureContext);
  });

  it('say how much room is used, and let unused pictures go on a yes only', async () => {
    const space = {
      space: signal({ usedBytes: 3_000_000, quotaBytes: 60_000_000, lasting: false }),
      orphans: signal<readonly string[]>([]),
      measure: async () => undefined,
      sweep: async () => undefined,
      deleteOrphans: vi.fn(async () => 2),
    };
    const { element, fixture, press } = await show(SettingsPage, [{ provide: SpaceDesk, useValue: space }]);
    expect(element.querySelector('esm-space')!.textContent).toContain('3 MB of 60 MB');
    expect(pressable(element, 'Delete unused pictures')).toBeUndefined();
    space.orphans.set(['a', 'b']);
    fixture.detectChanges();
    const asked = vi.spyOn(TestBed.inject(ConfirmationService), 'confirm');
    await press('Delete unused pictures');
    expect(space.deleteOrphans).not.toHaveBeenCalled();
    asked.mock.calls[0]![0].accept!();
    expect(space.deleteOrphans).toHaveBeenCalledOnce();
  });
});
