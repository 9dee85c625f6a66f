import { describe, expect, it, vi } from 'vitest';
import { soilLevels } from '@esmero/model';
import { glossary, helpSteps } from '@esmero/messages';
import { show } from '../../testing/show';
import { HelpPage } from './help.page';

describe('help', () => {
  vi.stubGlobal('ESMERO_VERSION', '9.9.9');

  it('goes through the work, the levels, the words and the keys, and says which version it is of', async () => {
    const { element } = await show(HelpPage);
    const text = element.textContent!;
    for (const { title } of helpSteps) expect(text).toContain(`${title}.`);
    for (const { word, means } of glossary) {
      expect(text).toContain(word);
      expect(text).toContain(means);
    }
    expect(element.querySelectorAll('.levels dt')).toHaveLength(soilLevels.length);
    expect(element.querySelectorAll('esm-key-list kbd').length).toBeGreaterThan(5);
    expect(text).toMatch(/Esmero \d+\.\d+\.\d+/);
  });
});
