/** A port that is free now, on loopback. */
export function freePort(): Promise<number>;
/** Looks whether Sormet could listen where it is told to. @throws with what to do */
export function checkPorts(env?: NodeJS.ProcessEnv): Promise<void>;
