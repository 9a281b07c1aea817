/** The words of codes in a language: a sentence, or what makes one of what the code is about. */
export type WordsOf<Codes extends Readonly<Record<string, Readonly<Record<string, string>>>>> = {
  readonly [C in keyof Codes]: keyof Codes[C] extends never
    ? string
    : (about: {
        readonly [K in keyof Codes[C]]: Codes[C][K] extends 'number'
          ? number
          : Codes[C][K] extends 'list'
            ? readonly string[]
            : string;
      }) => string;
};
