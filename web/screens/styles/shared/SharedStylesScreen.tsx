import { useState, type ReactNode } from 'react';
import { Dropdown, Select } from 'antd';
import { useNavigate } from 'react-router';
import { Ellipsis } from 'lucide-react';
import { allOf, docOf, newId, orderBetween, type StyleDoc } from '@sormet/core/model';
import { freeName } from '@sormet/core/edit';
import { reachOfStyle, unusedStyles } from '@sormet/core/reach';
import { stylesInOrder, valueText } from '@sormet/core/style';
import { HeadedTable } from '../../../parts/HeadedTable';
import { count } from '../../../words';
import { Dialog } from '../../../parts/Dialog';
import { useDerived, useSync } from '../../../site/SiteProvider';
import { ChoiceCell } from '../../../parts/ChoiceCell';
import { DraftField } from '../../../values/DraftField';
import { BeginStyle } from './BeginStyle';
import { RemoveUnused } from './RemoveUnused';
import { StyleOrder } from './StyleOrder';
import '../../screens.css';

/** The shared styles of a site in the one order there is, the weakest first; each with whom it reaches. */
export function SharedStylesScreen(): ReactNode {
  const { documents, reach } = useDerived();
  const styles = stylesInOrder(documents).flatMap((id) => docOf(documents, 'style', id) ?? []);
  const unused = unusedStyles(documents, reach);
  if (styles.length === 0)
    return (
      <p className="first-steps">
        There is no shared style yet. Begin one here and style it on the specimen; or style
        something at the bench, then choose “put on a style” and make one from what is declared
        there. <BeginStyle />
      </p>
    );
  return (
    <>
      <div className="styles-acts">
        <BeginStyle />
        <span className="quiet">
          The weakest first: what stands further down wins, on whatever has both. In which order
          they were put on never matters.
        </span>
        {unused.length > 0 ? <RemoveUnused unused={unused} /> : null}
      </div>
      <HeadedTable
        label="Shared styles"
        className="screen-table style-rows"
        heads={['Order', 'Name', 'Modifies', 'Declares', 'Reach', { unseen: 'Acts' }]}
      >
        <tbody>
          {styles.map((style) => (
            <Row key={style.id} style={style} styles={styles} />
          ))}
        </tbody>
      </HeadedTable>
    </>
  );
}

function Row({ style, styles }: { style: StyleDoc; styles: readonly StyleDoc[] }): ReactNode {
  const { documents, reach } = useDerived();
  const sync = useSync();
  const navigate = useNavigate();
  const [exchanging, setExchanging] = useState(false);
  const [removing, setRemoving] = useState(false);
  const { id, name, base } = style;
  const beside = styles.filter((other) => other.base === base);
  const at = beside.indexOf(style);
  const { elements, pages } = reachOfStyle(documents, reach, id);
  const duplicate = () => {
    const copy = freeName(
      `${name} copy`,
      allOf(documents, 'style').map((each) => each.name),
    );
    const order = orderBetween(style.order, beside[at + 1]?.order ?? null);
    sync.edit({
      name: 'addStyle',
      args: { style: newId(), name: copy, order, base, block: style.style, from: null },
    });
  };
  const declares = Object.keys(style.style).map(
    (key) => `${key}: ${valueText(style.style[key]!, documents.tokens.tokens)}`,
  );
  return (
    <tr className={base === null ? undefined : 'modifier'}>
      <td>
        <StyleOrder style={id} />
      </td>
      <th scope="row">
        <DraftField
          label={`Name of ${name}`}
          stored={name}
          edit={(typed) => ({ name: 'setStyle', args: { style: id, set: { name: typed } } })}
        />
      </th>
      <td>
        <ChoiceCell
          label={`${name} modifies`}
          chosen={base ?? ''}
          options={[
            { value: '', label: 'nothing' },
            ...styles
              .filter((other) => other.id !== id)
              .map((other) => ({ value: other.id, label: other.name })),
          ]}
          onChoose={(value) =>
            sync.edit({
              name: 'setStyle',
              args: { style: id, set: { base: value === '' ? null : value } },
            })
          }
        />
      </td>
      <td className="declares" title={declares.join('\n')}>
        {declares.join(' · ')}
      </td>
      <td className="quiet">
        {elements === 0 ? 'nothing' : `${count(elements, 'element')} on ${count(pages, 'page')}`}
      </td>
      <td>
        <Dropdown
          trigger={['click']}
          menu={{
            items: [
              {
                key: 'edit',
                label: 'edit on the specimen',
                onClick: () => void navigate(`/sites/${sync.site}/styles?style=${id}`),
              },
              { key: 'duplicate', label: 'duplicate', onClick: duplicate },
              {
                key: 'exchange',
                label: 'put another in its place …',
                onClick: () => setExchanging(true),
              },
              { key: 'remove', label: 'remove …', danger: true, onClick: () => setRemoving(true) },
            ],
          }}
        >
          <button type="button" className="icon-button" aria-label={`Acts for ${name}`}>
            <Ellipsis size={14} aria-hidden />
          </button>
        </Dropdown>
        {exchanging ? (
          <Exchange style={style} styles={styles} onClose={() => setExchanging(false)} />
        ) : null}
        {removing ? (
          <Dialog
            open
            title={`Remove ${name}`}
            okText="Remove it"
            cancelText="Leave it"
            onOk={() => {
              if (sync.edit({ name: 'removeStyles', args: { styles: [id] } })) setRemoving(false);
            }}
            onCancel={() => setRemoving(false)}
          >
            {elements === 0
              ? 'Nothing has it on.'
              : `${count(elements, 'element')} on ${count(pages, 'page')} will no longer have it on. Undo brings all of it back.`}
          </Dialog>
        ) : null}
      </td>
    </tr>
  );
}

/** Puts another style in the place of one wherever that is on, after saying where that is. */
function Exchange({
  style,
  styles,
  onClose,
}: {
  style: StyleDoc;
  styles: readonly StyleDoc[];
  onClose: () => void;
}): ReactNode {
  const { documents, reach } = useDerived();
  const sync = useSync();
  const [instead, setInstead] = useState<string | undefined>(undefined);
  const { elements, pages } = reachOfStyle(documents, reach, style.id);
  return (
    <Dialog
      open
      title={`Put another in the place of ${style.name}`}
      okText="Put it there"
      cancelText="Leave it"
      okButtonProps={{ disabled: instead === undefined }}
      onOk={() => {
        if (instead === undefined) return;
        if (sync.edit({ name: 'exchangeStyle', args: { style: style.id, instead } })) onClose();
      }}
      onCancel={onClose}
    >
      <p>
        On {count(elements, 'element')} on {count(pages, 'page')}. {style.name} itself stays,
        unused.
      </p>
      <Select
        data-first
        aria-label="The other style"
        style={{ width: '100%' }}
        value={instead}
        showSearch={{ optionFilterProp: 'label' }}
        options={styles
          .filter(({ id }) => id !== style.id)
          .map(({ id, name }) => ({ value: id, label: name }))}
        onChange={setInstead}
      />
    </Dialog>
  );
}
