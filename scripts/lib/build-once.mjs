/** Run by `buildAll` while it holds the lock of building. */
import { buildOnce } from './build.mjs';
import { giveUp } from './say.mjs';

try {
  await buildOnce(process.argv.slice(2));
} catch (error) {
  giveUp(error);
}
