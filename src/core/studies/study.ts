/** A long question, worked out step by step: yields the share that is done, returns the answer. */
export type Study<T> = Generator<number, T, void>;

/** Works a study out to its end without a break. */
export function finish<T>(study: Study<T>): T {
  for (;;) {
    const { done, value } = study.next();
    if (done) return value;
  }
}
