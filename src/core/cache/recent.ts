/**
 * A pure function that knows its last answers, so that what is asked again costs only its key; the
 * key is made of what it is given.
 * @param kept answers that are kept; the one asked for longest ago goes first
 */
export function recent<Q extends readonly unknown[], A extends object>(
  kept: number,
  keyOf: (...question: Q) => string,
  work: (...question: Q) => A,
): (...question: Q) => A {
  const answers = new Map<string, A>();
  return (...question) => {
    const key = keyOf(...question);
    const answer = answers.get(key) ?? work(...question);
    answers.delete(key);
    answers.set(key, answer);
    if (answers.size > kept) answers.delete(answers.keys().next().value!);
    return answer;
  };
}
