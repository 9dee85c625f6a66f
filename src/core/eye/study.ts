/** Work on a picture, step by step: yields the share that is done, returns what was found. */
export type Study<T> = Generator<number, T, void>;
