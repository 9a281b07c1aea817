import { saidText, type Said } from '../../../said';

/** Why an instance cannot be made plain, thrown from wherever that is found. */
export class CannotBePlain extends Error {
  constructor(readonly said: Said) {
    super(saidText(said));
  }
}
