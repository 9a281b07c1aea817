/** Run by `buildInterface` while it holds the lock of building. */
import { buildOnce } from './interface.mjs';
import { giveUp } from './say.mjs';

try {
  buildOnce();
} catch (error) {
  giveUp(error);
}
