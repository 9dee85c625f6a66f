import type { Assumed } from '@esmero/exchange';
import { en } from './english';
import { bodyName, colourName, finishName } from './words';

/** What was taken for a job that says little. */
export function assumedText(assumed: Assumed): string {
  switch (assumed.code) {
    case 'template':
      return `Products, vessels, towels and habits: the template “${assumed.name}”.`;
    case 'site':
      return `Site: “${assumed.name}”, as none is named.`;
    case 'size':
      return `Size: an ordinary ${bodyName[assumed.body].toLowerCase()}.`;
    case 'finish':
      return `Finish: ${finishName[assumed.finish].toLowerCase()}.`;
    case 'colour':
      return `${en('Colour')}: ${colourName[assumed.colour].toLowerCase()}.`;
    case 'clean':
      return `${assumed.zones} ${assumed.zones === 1 ? 'part' : 'parts'} that no line speaks of: clean.`;
  }
}
