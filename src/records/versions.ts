/** The version of a job that is written; as many as there are steps to it, and one. */
export const jobVersion = 16;

/** The same of a collection. */
export const collectionVersion = 18;
