/** Debian's Chromium for tests: its program. */
export function chromiumProgram(): string;
