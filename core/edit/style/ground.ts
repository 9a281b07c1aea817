import { Type } from '@sinclair/typebox';
import { type Declared, docOf, nodeIn, own, Source, type TreeNode } from '../../model';
import { say } from '../../said';
import { declarationKey, expand, FED } from '../../style';
import { exact, Id } from '../args';
import { type Change, changeTo } from '../changes';
import { defineEdit, gone, notStyled, refuse } from '../define';
import { named } from '../names';
import { withContainers } from '../rules/by-rule';
import { declareIn } from './declaration';

const GROUND = 'background-image';

/** How a ground lies that nothing else is said of: over the whole, its middle seen (common practice, no published source). */
const LIES = { 'background-size': 'cover', 'background-position': 'center' };

/** A picture that lies behind what stands on an element, with what lies over it as a veil. */
export interface Ground {
  /** What gives the picture: a value, a property of the definition, a field. */
  readonly source: Source;
  /** The layers over it, as CSS; nothing without a veil. */
  readonly veil: string | null;
}

/** The ground that a declaration of `background-image` says, where a picture is in it. */
export function groundOf(declared: Declared | undefined): Ground | undefined {
  const fed = declared && own(declared.refs ?? {}, FED);
  if (!fed || !('source' in fed) || fed.type !== 'image') return undefined;
  const behind = `,var(--${FED})`;
  const { css } = declared;
  return { source: fed.source, veil: css.endsWith(behind) ? css.slice(0, -behind.length) : null };
}

/**
 * Lays a picture behind what stands on elements, with a veil over it or none; `null` takes it away. Of a definition also
 * by one of its rules: then only while that holds.
 */
export const setGround = defineEdit({
  args: Type.Object(
    {
      doc: Id,
      nodes: Type.Array(Id, { minItems: 1, maxItems: 500 }),
      width: Type.String({ maxLength: 40 }),
      ground: Type.Union([
        Type.Object(
          { source: Source, veil: Type.Union([Type.String({ maxLength: 300 }), Type.Null()]) },
          exact,
        ),
        Type.Null(),
      ]),
      rule: Type.Optional(Id),
    },
    exact,
  ),
  run(documents, { doc, nodes, width, ground, rule }) {
    const changes: Change[] = [];
    const made = rule === undefined ? undefined : docOf(documents, 'component', doc)?.rules;
    const patch = made && rule !== undefined ? own(made, rule)?.patch : undefined;
    if (rule !== undefined && !patch) return gone('the-rule', doc);
    for (const node of new Set(nodes)) {
      const stored = nodeIn(documents, doc, node);
      if (!isStyled(stored)) return notStyled(stored, 'to-be-styled', doc);
      const where =
        rule === undefined ? ['nodes', node, 'style'] : ['rules', rule, 'patch', node, 'style'];
      const block = rule === undefined ? stored.style : (own(patch!, node)?.style ?? {});
      // How a picture lies is said once, by whichever says it first.
      const said = { ...stored.style, ...block };
      const give = (property: string, css: string | null) =>
        declareIn(documents, doc, where, block, { property, width, css });
      if (!ground) {
        const taken = give(GROUND, null);
        if ('refused' in taken) return taken;
        changes.push(...taken);
        continue;
      }
      const { source, veil } = ground;
      const refs = { [FED]: { source, type: 'image' as const } };
      const read = expand(GROUND, `${veil === null ? '' : veil + ','}var(--${FED})`, refs);
      if (!read.ok) return refuse(read.reason, doc, '/' + where.join('/'));
      const key = declarationKey(GROUND, width);
      changes.push(
        ...changeTo(documents, doc, [...where, key], { css: read.longhands[GROUND]!, refs }),
      );
      if (own(block, key)) continue;
      for (const [property, css] of Object.entries(LIES)) {
        const made = give(property, css);
        if ('refused' in made) return made;
        changes.push(
          ...made.filter(
            ({ path }) => own(said, path.slice(path.lastIndexOf('/') + 1)) === undefined,
          ),
        );
      }
    }
    return withContainers(documents, changes);
  },
  told: (documents, { doc, nodes, ground }) => {
    const what =
      nodes.length === 1
        ? named(documents, doc, nodes[0]!)
        : say('things-counted', { many: nodes.length });
    return ground ? say('laid-picture', { what }) : say('took-picture', { what });
  },
});

function isStyled(
  node: TreeNode | undefined,
): node is Extract<TreeNode, { kind: 'element' | 'instance' }> {
  return node?.kind === 'element' || node?.kind === 'instance';
}
