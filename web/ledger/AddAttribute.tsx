import { useId, useState, type ReactNode } from 'react';
import { attributesOf, attributeType, attributeWords, literal } from '@sormet/core/model';
import { emptyLiteral } from '@sormet/core/edit';
import { useSync } from '../site/SiteProvider';
import type { Selected } from './use-selected';
import { Wrong } from '../parts/Wrong';

/** A row to type the name of an attribute into; it then has a row of its own. */
export function AddAttribute({ selected }: { selected: Selected }): ReactNode {
  const sync = useSync();
  const list = useId();
  const [name, setName] = useState('');
  const [wrong, setWrong] = useState('');
  const { doc, id, node } = selected;
  if (node.kind !== 'element') return null;
  const { tag, attributes } = node;
  const free = attributesOf(tag).filter((each) => !Object.hasOwn(attributes, each));
  const add = () => {
    const typed = name.trim().toLowerCase();
    if (typed === '') return;
    const type = attributeType(tag, typed);
    if (!type) {
      setWrong(`HTML gives ${tag} no ${typed}.`);
      return;
    }
    const [word] = attributeWords(tag, typed) ?? [];
    const source = word === undefined ? emptyLiteral(type) : literal({ type: 'text', value: word });
    const control = { of: 'attribute' as const, name: typed };
    if (!sync.edit({ name: 'setControl', args: { doc: doc.id, node: id, control, source } }))
      return;
    setName('');
    setWrong('');
  };
  return (
    <tr>
      <th scope="row" className="quiet">
        more
      </th>
      <td className={wrong ? 'cell is-wrong' : 'cell'} colSpan={3}>
        <span className="draft-field">
          <input
            className="plain-field mono"
            aria-label="Add an attribute"
            aria-invalid={wrong !== ''}
            placeholder="an attribute: id, lang, title, role, aria-…, data-…"
            list={list}
            value={name}
            onChange={({ target }) => {
              setName(target.value);
              setWrong('');
            }}
            onKeyDown={({ key }) => {
              if (key === 'Enter') add();
              if (key === 'Escape') setName('');
            }}
            onBlur={add}
          />
          <Wrong words={wrong} />
        </span>
        <datalist id={list}>
          {free.map((each) => (
            <option key={each} value={each} />
          ))}
        </datalist>
      </td>
    </tr>
  );
}
