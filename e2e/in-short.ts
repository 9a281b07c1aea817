import { readFileSync } from 'node:fs';
import { stripVTControlCharacters } from 'node:util';
import type { FullResult, Reporter, TestCase, TestResult } from '@playwright/test/reporter';

/**
 * Tells once more at the very end, in a few lines for each, what failed and where: whoever sees the end of a long record
 * alone sees that much.
 */
export default class InShort implements Reporter {
  private readonly failed: string[] = [];

  onTestEnd(test: TestCase, result: TestResult): void {
    if (result.status === test.expectedStatus || result.status === 'skipped') return;
    const said = result.errors.flatMap(({ message = '', location, snippet = '' }) => [
      location
        ? `  at ${location.file.split('/').at(-1)}:${location.line}`
        : '  at a place unknown',
      ...plain(message).slice(0, 8),
      ...plain(snippet).filter((line) => line.includes('>')),
    ]);
    this.failed.push([test.title, ...said, ...seenThen(result)].join('\n'));
  }

  onEnd(_result: FullResult): void {
    if (this.failed.length > 0) process.stdout.write(`\nIn short:\n${this.failed.join('\n')}\n`);
  }

  printsToStdio(): boolean {
    return false;
  }
}

/** The lines of a text that say something, without the colours of a terminal. */
function plain(words: string): string[] {
  return stripVTControlCharacters(words)
    .split('\n')
    .map((line) => `  ${line.trim().slice(0, 200)}`)
    .filter((line) => line.trim() !== '');
}

/** What stood out on the page when it failed: where one was, what was selected and chosen, what was asked or warned of. */
function seenThen({ attachments }: TestResult): string[] {
  const path = attachments.find(({ name }) => name === 'error-context')?.path;
  if (!path) return [];
  return plain(readFileSync(path, 'utf8'))
    .filter((line) => /^ *- .*(\[(selected|active|checked)|heading|dialog|alert|status)/.test(line))
    .slice(0, 30);
}
