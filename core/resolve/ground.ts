import { own, type Block, type Documents, type TagsDoc } from '../model';

const known = new WeakMap<TagsDoc, Block>();

/**
 * What a theme says again where it begins: all that the whole page is given with the help of tokens, its colour and
 * ground above all. What is inherited was worked out further out, with the values that tokens have there.
 */
export function groundOf({ tags }: Documents): Block {
  let block = known.get(tags);
  if (!block) {
    const said = Object.entries({ ...own(tags.tags, 'html'), ...own(tags.tags, 'body') });
    block = Object.fromEntries(
      said.filter(([, { refs = {} }]) => Object.values(refs).some((ref) => 'token' in ref)),
    );
    known.set(tags, block);
  }
  return block;
}
