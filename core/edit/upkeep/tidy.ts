import { Type } from '@sinclair/typebox';
import { type Block, own } from '../../model';
import { say } from '../../said';
import { declarationKey, writtenBlock } from '../../style';
import { exact } from '../args';
import { changeTo, type Change } from '../changes';
import { defineEdit } from '../define';
import { blocksOf } from '../soundness/blocks';

/**
 * Brings every declaration into the form in which they are stored now, as the parser writes it, and takes out
 * those that no stylesheet can hold. Run once when a site of an earlier version is opened.
 */
export const tidy = defineEdit({
  args: Type.Object({}, exact),
  run(documents) {
    const changes: Change[] = [];
    const add = (doc: string, tokens: readonly string[], block: Block) => {
      const now = tidied(block);
      for (const key of Object.keys(block).sort())
        changes.push(...changeTo(documents, doc, [...tokens, key], own(now, key)));
    };
    for (const doc of documents) {
      const { id } = doc;
      for (const { where, block } of blocksOf(doc)) add(id, where, block);
    }
    return changes;
  },
  told: () => say('tidied'),
});

function tidied(block: Block): Block {
  return Object.fromEntries(
    writtenBlock(block).map(({ property, width, state, declared }) => [
      declarationKey(property, width, state),
      declared,
    ]),
  );
}
