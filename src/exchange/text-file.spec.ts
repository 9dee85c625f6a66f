import { describe, expect, it } from 'vitest';
import { decoded } from './text-file';

const bytes = (...all: readonly number[]): Uint8Array => Uint8Array.from(all);

describe('a text file', () => {
  it('is read as it says, or as it must be', () => {
    const text = 'Jürgen, 王小明, Иван';
    expect(decoded(new TextEncoder().encode(text))).toEqual({ text, encoding: 'utf-8', isGuessed: false });
    expect(decoded(new TextEncoder().encode(`\ufeff${text}`))).toMatchObject({ text, encoding: 'utf-8' });
    expect(decoded(bytes(0xff, 0xfe, ...Buffer.from(text, 'utf16le')))).toMatchObject({ text, encoding: 'utf-16le' });
    expect(decoded(bytes(0xfe, 0xff, ...Buffer.from(text, 'utf16le').swap16()))).toMatchObject({
      text,
      encoding: 'utf-16be',
    });
  });

  it('of a Windows spreadsheet has its letters, and says that they were guessed', () => {
    expect(decoded(bytes(...Buffer.from('J\xfcrgen', 'latin1')))).toEqual({
      text: 'Jürgen',
      encoding: 'windows-1252',
      isGuessed: true,
    });
  });

  it('is read otherwise where somebody says so', () => {
    expect(decoded(bytes(0xc8, 0xe2, 0xe0, 0xed), 'windows-1251')).toEqual({
      text: 'Иван',
      encoding: 'windows-1251',
      isGuessed: false,
    });
  });
});
