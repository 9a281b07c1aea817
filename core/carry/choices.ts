/** What is taken where two are called the same and look otherwise: ours, theirs in its place, or both. */
export type Choice = 'ours' | 'theirs' | 'both';

/** Which is taken of what clashes, by its id in the clip; ours, where nothing was chosen. */
export type Choices = Readonly<Record<string, Choice>>;
