import type { ReactNode } from 'react';
import { nodeIn, treeDocOf } from '@sormet/core/model';
import { controlsOf, propertyOf } from '@sormet/core/edit';
import { trace, type ResolvedElement, type Step } from '@sormet/core/resolve';
import { HeadedTable } from '../../parts/HeadedTable';
import { useDerived } from '../../site/SiteProvider';
import { documentWords, componentWords } from '../../words';
import type { Selected } from '../use-selected';
import { TraceButton } from '../TraceButton';

/** What an element inside an instance shows, and which step of its way there decides: to be read, not written. */
export function InsideValues({ inside }: { inside: Selected }): ReactNode {
  const { documents } = useDerived();
  const { element, built } = inside;
  if (!element || !built) return null;
  const { within } = element.scope;
  const rows = controlsOf(documents, inside.doc, inside.id).filter(
    ({ element: of, control }) =>
      of === inside.id && control.of !== 'declaration' && control.of !== 'chosen',
  );
  return (
    <HeadedTable
      label="Values of what is looked at"
      heads={[
        'Control',
        { name: 'Shows', width: 'wide' },
        { name: 'Said by', width: 'wide' },
        { unseen: 'Trace' },
      ]}
    >
      <tbody>
        <tr>
          <th scope="row">tag</th>
          <td className="cell">
            <span className="cell-words">{element.tag}</span>
          </td>
          <td className="cell">
            <span className="cell-words quiet">
              the definition of {componentWords(documents, inside.doc.id)}
            </span>
          </td>
          <td />
        </tr>
        {rows.map((row) => {
          const steps = trace(built, within, row.node, row.control);
          return (
            <tr key={row.node + JSON.stringify(row.control)}>
              <th scope="row">{row.what}</th>
              <td className="cell">
                <span className="cell-words">{shownOf(element, row) || 'nothing'}</span>
              </td>
              <td className="cell">
                <span className="cell-words quiet">{saidBy(steps.at(-1))}</span>
              </td>
              <td className="cell">
                <TraceButton label={row.what} />
              </td>
            </tr>
          );
        })}
      </tbody>
    </HeadedTable>
  );

  function saidBy(step: Step | undefined): string {
    if (!step) return 'nobody';
    const { doc, node, by } = step;
    const tree = treeDocOf(documents, doc);
    const property =
      step.property === undefined ? undefined : propertyOf(documents, doc, step.property)?.label;
    if (by === 'default') return `the default of ${property ?? 'its property'}`;
    const where =
      tree?.kind === 'component'
        ? `the definition of ${componentWords(documents, doc)}`
        : documentWords(documents, doc);
    if (by === 'set') {
      const name = nodeIn(documents, doc, node)?.name;
      return `set here${name ? ` on “${name}”` : ''}, on ${where}`;
    }
    return where;
  }
}

/** What a control of an element shows now: the words of a text, an attribute as it is written. */
function shownOf(
  element: ResolvedElement,
  { node, control }: ReturnType<typeof controlsOf>[number],
): string {
  if (control.of === 'shown') return 'shown';
  if (control.of === 'attribute') return element.attributes[control.name] ?? '';
  const text = element.children.find((child) => child.kind === 'text' && child.from.id === node);
  if (text?.kind !== 'text') return '';
  return typeof text.content === 'string' ? text.content : text.content.map(wordsOf).join('');
}

type Piece = Exclude<
  Extract<ResolvedElement['children'][number], { kind: 'text' }>['content'],
  string
>[number];

function wordsOf(piece: Piece): string {
  return typeof piece === 'string' ? piece : piece.children.map(wordsOf).join('');
}
