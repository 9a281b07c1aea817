import { sha256 } from '@noble/hashes/sha2';
import { bytesToHex, utf8ToBytes } from '@noble/hashes/utils';
import type { Means } from '../compile';
import { Linker } from '../resolve';

/** What compiling takes beside documents, where no platform is at hand. */
export function means(linker = new Linker()): Means {
  return { linker, sha256: (text) => bytesToHex(sha256(utf8ToBytes(text))) };
}
