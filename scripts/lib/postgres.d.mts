/** Removes a folder that processes of PostgreSQL may be at work in: they are killed first. */
export function removeWithWriters(folder: string): Promise<void>;
