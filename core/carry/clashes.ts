import { own, type Block, type Documents, type StyleDoc, type Token } from '../model';
import { filled, keyParts } from '../style';
import type { Clip } from './clip';
import { Counterparts } from './counterparts';

/** Something that comes with a clip and is called as something here, but looks otherwise. */
export type Clash =
  | {
      readonly is: 'style';
      readonly id: string;
      readonly name: string;
      readonly ours: StyleDoc;
      readonly theirs: StyleDoc;
    }
  | {
      readonly is: 'token';
      readonly id: string;
      readonly name: string;
      /** The id of ours. */
      readonly here: string;
      readonly ours: Token;
      readonly theirs: Token;
    };

/** What of a clip from another site clashes with what this one has: shared styles and tokens of one name and two looks. */
export function clashesOf(documents: Documents, clip: Clip): Clash[] {
  const there = new Counterparts(documents, clip, () => '');
  const { tokens } = documents.tokens;
  const found: Clash[] = [];
  for (const [id, theirs] of Object.entries(clip.tokens)) {
    const here = there.token(id);
    const ours = here === undefined ? undefined : own(tokens, here);
    if (!ours || here === undefined || ours.type !== theirs.type) continue;
    if (filled(ours.value, tokens) !== filled(theirs.value, clip.tokens))
      found.push({ is: 'token', id, name: theirs.name, here, ours, theirs });
  }
  for (const [id, theirs] of Object.entries(clip.styles)) {
    const here = there.style(id);
    const ours = here === undefined ? undefined : documents.ofKind('style', here);
    if (!ours) continue;
    // Tokens of the same name are told of by themselves: here only what is written counts.
    if (
      look(ours.style, tokens, documents.site.widths) !==
      look(theirs.style, clip.tokens, clip.widths)
    )
      found.push({ is: 'style', id, name: theirs.name, ours, theirs });
  }
  return found;
}

/** A block as what it says, its widths by their px and its tokens by their names. */
function look(
  block: Block,
  tokens: Readonly<Record<string, Token>>,
  widths: Readonly<Record<string, { max: number }>>,
): string {
  return Object.keys(block)
    .map((key) => {
      const { property, width, state = '' } = keyParts(key);
      const { css, refs = {} } = block[key]!;
      const said = css.replaceAll(/var\(--([a-z][a-z0-9-]*)\)/g, (all, name: string) => {
        const ref = own(refs, name);
        return ref && 'token' in ref ? `{${own(tokens, ref.token)?.name.toLowerCase()}}` : all;
      });
      return `${property} ${own(widths, width)?.max ?? ''} ${state} ${said}`;
    })
    .sort()
    .join('\n');
}
