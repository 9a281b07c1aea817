/**
 * The member that a record has of its own under a name; never what every object inherits. Names that
 * people or programs choose (`constructor`, `valueOf`) are words of code elsewhere, so every record that
 * is read by such a name is read through this.
 */
export function own<T>(record: Readonly<Record<string, T>>, name: string): T | undefined {
  return Object.hasOwn(record, name) ? record[name] : undefined;
}
