/** More letters no address book or calendar of one person has. */
const MOST_LETTERS = 10_000_000;
/** The library takes a line apart at each semicolon, and goes through all of it again each time. */
const MOST_PARTS = 5000;

/** Why a file of content lines (RFC 5545, RFC 6350) is not read; null where it is. */
export function refusalOfLines(text: string): string | null {
  if (text.length > MOST_LETTERS) return 'more than 10 MB';
  let parts = 0;
  for (let i = 0; i < text.length; i++) {
    const letter = text[i];
    // A line goes on where the next one begins with a blank.
    if (letter === '\n' && text[i + 1] !== ' ' && text[i + 1] !== '\t') parts = 0;
    else if (letter === ';' && ++parts > MOST_PARTS) return 'a line of more than 5,000 parts';
  }
  return null;
}
