/** The processes of PostgreSQL that work on a folder, or on one below it. */
export function processesOn(folder: string): number[];
/** Kills a process, unless it ended by itself since it was seen. */
export function killIfThere(pid: number): void;
