import { signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { ConfirmationService } from 'primeng/api';
import { describe, expect, it, vi } from 'vitest';
import { noticeText } from '@esmero/messages';
import { JobDesk } from '../state/job-desk';
import { type NoticeKind, Notices } from '../state/notices';
import { SpaceDesk } from '../state/space';
import { pressable } from '../testing/pressable';
import { show } from '../testing/show';
import { ConfirmComponent } from './confirm.component';
import { MorePage } from './more.page';
import { NoticesComponent } from './notices.component';
import { places } from './places';
import { routes } from './routes';
import { stages } from './stages';

describe('a question of the frame', () => {
  async function asked() {
    const shown = await show(ConfirmComponent);
    const [accept, reject] = [vi.fn(), vi.fn()];
    TestBed.inject(ConfirmationService).confirm({ header: 'Delete it?', message: 'For good.', accept, reject });
    shown.fixture.detectChanges();
    await shown.settle();
    const press = (text: string): void => pressable(document.body, text)!.click();
    return { ...shown, accept, reject, press };
  }

  it('is answered by yes', async () => {
    const { accept, reject, press } = await asked();
    press('Yes');
    expect(accept).toHaveBeenCalledOnce();
    expect(reject).not.toHaveBeenCalled();
  });

  it('is a no however else it is closed', async () => {
    const { accept, reject, press } = await asked();
    press('Close');
    expect(accept).not.toHaveBeenCalled();
    expect(reject).toHaveBeenCalledOnce();
  });
});

describe('notices', () => {
  async function notices(kinds: readonly NoticeKind[]) {
    const notice = {
      all: signal(kinds),
      dismiss: vi.fn((kind: NoticeKind) => notice.all.update((all) => all.filter((one) => one !== kind))),
      renew: vi.fn(),
      keepForOffline: async () => undefined,
    };
    const space = {
      nearlyFull: signal(false),
      watch: () => () => undefined,
      makeLasting: vi.fn(async () => undefined),
    };
    const shown = await show(NoticesComponent, [
      { provide: Notices, useValue: notice },
      { provide: SpaceDesk, useValue: space },
    ]);
    return { ...shown, notice, space };
  }

  it('say what concerns the page, loudly where something is at stake, and go when they are hidden', async () => {
    const { element, press, notice } = await notices(['new-version', 'plain-http']);
    const of = (kind: NoticeKind): HTMLElement | null => element.querySelector(`[data-notice="${kind}"]`);
    expect(of('new-version')!.getAttribute('role')).toBe('alert');
    expect(of('plain-http')!.getAttribute('role')).toBe('status');
    expect(of('plain-http')!.textContent).toContain(noticeText['plain-http']);
    await press('Hide this notice');
    expect(notice.dismiss).toHaveBeenCalledWith('new-version');
    expect(of('new-version')).toBeNull();
  });

  it('tell that the disk is nearly full', async () => {
    const { element, settle, space } = await notices([]);
    expect(element.querySelector('.note')).toBeNull();
    space.nearlyFull.set(true);
    await settle();
    expect(element.querySelector('[data-notice="nearly-full"]')!.getAttribute('role')).toBe('alert');
  });

  it('ask the browser to keep things from the first change on, and not before', async () => {
    const { settle, space } = await notices([]);
    expect(space.makeLasting).not.toHaveBeenCalled();
    TestBed.inject(JobDesk).edit('renamed', (job) => ({ ...job, name: 'Another' }));
    await settle();
    expect(space.makeLasting).toHaveBeenCalled();
  });
});

describe('places and stages', () => {
  it('lead somewhere, each of them', () => {
    const known = routes.flatMap(({ path }) => (path === undefined ? [] : [path.split('/')[0]]));
    for (const { path } of places) expect(known).toContain(path.replace(/^\//, '').split('/')[0]);
    const job = routes.find(({ path }) => path?.startsWith('job/'));
    const below = (job?.children ?? []).map(({ path }) => path);
    for (const { path } of stages) expect(below).toContain(path);
  });

  it('that have no room in the bar of a phone are one press further', async () => {
    const { element } = await show(MorePage);
    const rare = places.filter(({ isRare }) => isRare);
    expect(rare.length).toBeGreaterThan(0);
    expect([...element.querySelectorAll('a')].map(({ textContent }) => textContent?.trim())).toEqual(
      rare.map(({ name }) => name),
    );
  });
});
