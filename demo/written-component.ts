export { writtenComponent as component } from '@sormet/core/ready';

/** Shared styles put on something, by the last part of their ids. */
export function on(...styles: string[]): Record<string, true> {
  return Object.fromEntries(styles.map((each) => [`style-${each}`, true as const]));
}
