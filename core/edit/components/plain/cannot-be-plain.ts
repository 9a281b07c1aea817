/** Thrown where an instance turns out to be nothing that plain elements can say; caught where the edit ends. */
export class CannotBePlain extends Error {}
