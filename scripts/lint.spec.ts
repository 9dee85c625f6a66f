import { mkdirSync, rmSync, writeFileSync } from 'node:fs';
import { cruise } from 'dependency-cruiser';
import { ESLint } from 'eslint';
import { afterAll, describe, expect, it } from 'vitest';
import rules from '../.dependency-cruiser.json';

const eslint = new ESLint();

async function saysNo(file: string, source: string): Promise<boolean> {
  const [result] = await eslint.lintText(`${source}\n`, { filePath: file });
  return result!.messages.some(({ ruleId }) => ruleId === 'no-restricted-imports');
}

describe('the import rules of the architecture', () => {
  it.each([
    ['src/core/planning/x.ts', "import '@esmero/messages';"],
    ['src/core/planning/x.ts', "import '@angular/core';"],
    ['src/core/planning/x.ts', "import '../../messages/src/x';"],
    ['src/exchange/x.ts', "import '@esmero/messages';"],
    ['src/exchange/x.ts', "import '../messages';"],
    ['src/messages/x.ts', "import '@esmero/store';"],
    ['src/store/x.ts', "import '../core';"],
    ['src/app/state/x.ts', "import '../features/mix/mix.stage';"],
    ['src/app/ui/x.ts', "import '../state/job-desk';"],
    ['src/app/ui/x.ts', "import '@esmero/store';"],
    ['src/app/features/mix/x.ts', "import '../site/site.stage';"],
    ['src/app/features/mix/x.ts', "import '../../shell/routes';"],
    ['src/app/measuring/x.ts', "import '../features/mix/mix.stage';"],
    ['src/app/measuring/x.ts', "import '../state/ports';"],
    ['server/x.ts', "import '@esmero/worker';"],
    ['src/core/x.ts', "import '@esmero/core/plan';"],
    ['e2e/x.ts', "import '../src/core';"],
  ])('%s may not %s', async (file, source) => {
    expect(await saysNo(file, source)).toBe(true);
  });

  it.each([
    ['src/core/planning/x.ts', "import '../model';"],
    ['src/core/planning/x.ts', "import '../rules';"],
    ['src/exchange/documents/x.ts', "import '@esmero/core';"],
    ['src/app/features/mix/x.ts', "import '../../state/job-desk';"],
    ['src/app/features/mix/x.ts', "import '@esmero/messages';"],
    ['src/app/shell/x.ts', "import '../features/mix/mix.stage';"],
  ])('%s may %s', async (file, source) => {
    expect(await saysNo(file, source)).toBe(false);
  });
});

describe('the rules about circles and doors', () => {
  const folder = 'src/core/.tried';
  afterAll(() => rmSync(folder, { recursive: true, force: true }));

  async function broken(files: Readonly<Record<string, string>>): Promise<readonly string[]> {
    rmSync(folder, { recursive: true, force: true });
    for (const [path, source] of Object.entries(files)) {
      mkdirSync(`${folder}/${path.split('/')[0]}`, { recursive: true });
      writeFileSync(`${folder}/${path}`, source);
    }
    const { options, forbidden } = rules;
    const { output } = await cruise([folder], { ...options, validate: true, ruleSet: { forbidden } } as never);
    return typeof output === 'string'
      ? []
      : [...new Set(output.summary.violations.map(({ rule }) => rule.name))].sort();
  }

  it('refuse a circle of files, of types alone too, and one of rooms', async () => {
    expect(
      await broken({
        'a/x.ts': "import type { Y } from './y';\nexport type X = Y;\n",
        'a/y.ts': "import type { X } from './x';\nexport type Y = X | 1;\n",
      }),
    ).toEqual(['no-circle']);
    expect(
      await broken({
        'a/x.ts': "import { y } from '../b/y';\nexport const x = y;\n",
        'a/z.ts': 'export const z = 1;\n',
        'b/y.ts': 'export const y = 1;\n',
        'b/w.ts': "import { z } from '../a/z';\nexport const w = z;\n",
      }),
    ).toContain('no-circle-of-rooms');
  });

  it('let a room be entered by its door', async () => {
    expect(
      await broken({
        'a/x.ts': "import { y } from '../b';\nexport const x = y;\n",
        'b/index.ts': "export { y } from './y';\n",
        'b/y.ts': 'export const y = 1;\n',
      }),
    ).toEqual([]);
  });
});
