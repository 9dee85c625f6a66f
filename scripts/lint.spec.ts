import { ESLint } from 'eslint';
import { describe, expect, it } from 'vitest';

const eslint = new ESLint();

async function saysNo(file: string, source: string): Promise<boolean> {
  const [result] = await eslint.lintText(`${source}\n`, { filePath: file });
  return result!.messages.some(({ ruleId }) => ruleId === 'no-restricted-imports');
}

describe('the import rules of the architecture', () => {
  it.each([
    ['src/core/plan/x.ts', "import '@esmero/messages';"],
    ['src/core/plan/x.ts', "import '@angular/core';"],
    ['src/core/plan/x.ts', "import '../../messages/src/x';"],
    ['src/exchange/x.ts', "import '@esmero/messages';"],
    ['src/exchange/x.ts', "import '../messages';"],
    ['src/messages/x.ts', "import '@esmero/store';"],
    ['src/store/x.ts', "import '../core';"],
    ['src/app/state/x.ts', "import '../features/mix/mix.stage';"],
    ['src/app/ui/x.ts', "import '../state/job-desk';"],
    ['src/app/ui/x.ts', "import '@esmero/store';"],
    ['src/app/features/mix/x.ts', "import '../site/site.stage';"],
    ['src/app/features/mix/x.ts', "import '../../shell/routes';"],
    ['server/x.ts', "import '@esmero/worker';"],
    ['src/core/x.ts', "import '@esmero/core/plan';"],
    ['e2e/x.ts', "import '../src/core';"],
  ])('%s may not %s', async (file, source) => {
    expect(await saysNo(file, source)).toBe(true);
  });

  it.each([
    ['src/core/plan/x.ts', "import '../model';"],
    ['src/core/plan/x.ts', "import '../method/choose';"],
    ['src/exchange/documents/x.ts', "import '@esmero/core';"],
    ['src/app/features/mix/x.ts', "import '../../state/job-desk';"],
    ['src/app/features/mix/x.ts', "import '@esmero/messages';"],
    ['src/app/shell/x.ts', "import '../features/mix/mix.stage';"],
  ])('%s may %s', async (file, source) => {
    expect(await saysNo(file, source)).toBe(false);
  });
});
