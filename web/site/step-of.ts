/**
 * The group of one step within a stretch (see `EditOptions`): a step to undo by itself, and with the others of its stretch
 * one line of the history.
 */
export function stepOf(stretch: string): string {
  return `${stretch} ${Date.now()}`;
}
