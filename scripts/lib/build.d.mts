/** Puts beside each text of a folder what it is pressed to by Brotli and gzip. */
export function pressFiles(folder: string): void;
